import { breather, drain, feed, jobOf, withPiece, withWay } from '../../testing/sample-job.js';
import { cutTickets } from './index.js';
import { inHouseUnits } from '../units/index.js';

describe('cutTickets', () => {
  it('gives one ticket a hose with its cut length, ends and labels', () => {
    const { tickets, notReady } = cutTickets(jobOf());
    expect(notReady).toEqual([]);
    expect(tickets.map((t) => t.number)).toEqual(['2403-L1', '2403-L2', '2403-L3']);
    expect(tickets[0]!.ends.map((e) => [e.side, e.angleDeg, e.goesTo, e.port])).toEqual([
      ['A', 0, 'block, port gallery', 'm14x1.5 f washer'],
      ['B', 45, 'turbo, port inlet', 'orb6 f'],
    ]);
    expect(tickets[0]!.cutMm).toBeGreaterThan(550);
  });

  it('leaves the clocking open where both ends are bent, and asks for none where one is straight', () => {
    const { tickets } = cutTickets(jobOf());
    expect(tickets.map((t) => t.clocking)).toEqual(['none', 'open', 'none']);
  });

  it('holds back what is open or leaks, and says why', () => {
    const open = withPiece(feed, { length: null });
    const leaking = withWay(drain, 0, [{ id: 'orb8m+an10m', inEnd: 0, outEnd: 1 }]);
    const { tickets, notReady } = cutTickets(jobOf([open, leaking]));
    expect(tickets).toEqual([]);
    expect(notReady.map((n) => [n.number, n.reasons.length])).toEqual([
      ['2403-L1', 1],
      ['2403-L2', 1],
    ]);
    expect(notReady[1]!.reasons[0]).toMatch(/does not join/);
  });

  it('holds back a hose that is not made for the fluid', () => {
    const wrong = cutTickets(jobOf([{ ...breather, service: 'coolant' }]));
    expect(wrong.tickets).toEqual([]);
    expect(wrong.notReady[0]!.reasons).toEqual(['Fuel rubber is not made for coolant.']);
  });
});
