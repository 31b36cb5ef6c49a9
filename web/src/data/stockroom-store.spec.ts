import { TestBed } from '@angular/core/testing';
import type { HoseLength, ShopChange } from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { answer, openSampleJob, openStockroom, settle, stockroomAt0 } from '../../test/open-job';
import { Preferences } from './preferences';
import { ShopStore } from './shop-store';
import { StockroomStore } from './stockroom-store';

const length = (change: Partial<HoseLength> = {}): HoseLength => ({
  id: 'H-1',
  part: 'hose-ptfe-6',
  kind: 'reel',
  mm: 5000,
  since: '2026-01-01',
  state: 'there',
  version: 1,
  ...change,
});
const told = (id: number, row: HoseLength): ShopChange =>
  ({ ...answer(`k${id}`), id, put: [{ type: 'length', row }], removed: [] }) as unknown as ShopChange;

describe('the stockroom', () => {
  it('is read once it is looked at, and followed change by change; one that it was read with is not taken twice', async () => {
    const opened = await openSampleJob();
    opened.http.expectNone('/api/stockroom');
    const store = await openStockroom(opened, { lengths: [length()], at: 4 });
    expect([store.loaded(), store.lengths().map((l) => l.mm)]).toEqual([true, [5000]]);
    const shop = TestBed.inject(ShopStore);
    shop.receive(told(4, length({ mm: 1 })), false);
    expect(store.lengths()[0]!.mm).toBe(5000);
    shop.receive(told(5, length({ mm: 4400, version: 2 })), false);
    expect(store.lengths()[0]!.mm).toBe(4400);
    shop.receive(told(6, length({ state: 'used', version: 3 })), false);
    expect([store.lengths(), store.room().lengths.length <= 1]).toEqual([[], true]);
  });

  it('takes in what is told while it is being read', async () => {
    const opened = await openSampleJob();
    const store = TestBed.inject(StockroomStore);
    TestBed.tick();
    const request = opened.http.expectOne((r) => r.url === '/api/stockroom');
    expect(request.request.params.get('job')).toBe('job');
    TestBed.inject(ShopStore).receive(told(5, length({ mm: 4400, version: 2 })), false);
    expect([store.loaded(), store.lengths()]).toEqual([false, []]);
    request.flush({ ...stockroomAt0, lengths: [length()], at: 4 });
    await settle();
    expect((await firstValueFrom(store.whenLoaded)).lengths[0]!.mm).toBe(4400);
  });

  it('signs what is signed, where initials were given', async () => {
    const opened = await openSampleJob();
    const store = await openStockroom(opened);
    const scrap = { do: 'scrap-length', id: 'H-1', version: 1 } as const;
    const sent = () => {
      const { commands, request, key } = opened.shopSent();
      request.flush(answer(key));
      return commands;
    };
    store.change(scrap).subscribe();
    expect(sent()).toEqual([scrap]);
    await settle();
    TestBed.inject(Preferences).initials.set(' RA ');
    store.change(scrap, { do: 'keep-stock', part: 'p', version: 0, least: 3 }).subscribe();
    expect(sent()).toEqual([
      { ...scrap, by: 'RA' },
      { do: 'keep-stock', part: 'p', version: 0, least: 3 },
    ]);
  });
});
