import { TestBed } from '@angular/core/testing';
import { firstValueFrom } from 'rxjs';
import { parseConnector, usualWeights, type Fitting, type ShopChange } from '@gewinde/core';
import { catalogue } from '../../../core/testing/sample-job';
import { openSampleJob, settle, shopAt0 } from '../../test/open-job';
import { JobView } from './job-view';
import { ShopStore } from './shop-store';

const part: Fitting = { id: 'own-1', name: 'Own', ends: [parseConnector('an6 m'), parseConnector('an8 m')] };
const change = (more: Partial<ShopChange>): ShopChange => ({
  id: 1,
  key: 'k',
  kind: 'edit',
  label: 'Add Own',
  client: 'c',
  at: '',
  put: [],
  removed: [],
  ...more,
});
const put = (fitting: Fitting, version = 1): ShopChange['put'] => [
  { type: 'part', row: { id: fitting.id, version, origin: 'own', kind: 'fitting', part: fitting } },
];

describe('what all jobs share', () => {
  it('takes changes in as they are told, without reading the catalogue again', async () => {
    const { http } = await openSampleJob();
    const shop = TestBed.inject(ShopStore);
    const has = () => shop.catalogue()!.fittings.find((f) => f.id === 'own-1')?.name;
    const adding = firstValueFrom(shop.change({ do: 'add-part', entry: { kind: 'fitting', part } }));
    http.expectOne('/api/shop/changes').flush(change({ id: 4, put: put(part) }));
    await adding;
    expect(has()).toBe('Own');
    shop.receive(change({ id: 3, put: put({ ...part, name: 'older' }) }), true);
    expect(has()).toBe('Own');
    shop.receive(change({ id: 4, put: put(part) }), true);
    expect(shop.at).toBe(4);
    shop.receive(change({ id: 5, removed: [{ type: 'part', id: 'own-1' }] }), true);
    expect(has()).toBeUndefined();
    http.expectNone('/api/catalogue');
  });

  it('follows what the shop weighs, and comes back to the usual', async () => {
    await openSampleJob();
    const shop = TestBed.inject(ShopStore);
    const weights = { ...usualWeights, elbows: 'wanted' as const };
    shop.receive(change({ put: [{ type: 'weights', row: { id: 'chain-weights', weights, version: 1 } }] }), true);
    expect(shop.weights().elbows).toBe('wanted');
    shop.receive(change({ id: 2, removed: [{ type: 'weights', id: 'chain-weights' }] }), true);
    expect(shop.weights()).toEqual(usualWeights);
  });

  it('sends a change again under the same key when nobody answered, and tells a refusal at once', async () => {
    jest.useFakeTimers();
    const opening = openSampleJob();
    await jest.advanceTimersByTimeAsync(1);
    const { http } = await opening;
    const shop = TestBed.inject(ShopStore);
    const undoing = firstValueFrom(shop.undo());
    const first = http.expectOne('/api/shop/undo');
    first.error(new ProgressEvent('error'));
    await jest.advanceTimersByTimeAsync(2100);
    const again = http.expectOne('/api/shop/undo');
    expect(again.request.body).toEqual(first.request.body);
    again.flush({ code: 'nothing-to-undo', message: 'Nothing.' }, { status: 409, statusText: 'no' });
    await expect(undoing).rejects.toMatchObject({ code: 'nothing-to-undo' });
    jest.useRealTimers();
  });

  it('puts lines together anew when it has changed', async () => {
    const { http } = await openSampleJob();
    const view = TestBed.inject(JobView);
    expect(view.lines().map((l) => l.state)).toEqual(['seals', 'seals', 'seals']);
    TestBed.inject(ShopStore).reload();
    http.expectOne('/api/catalogue').flush({ ...shopAt0, ...catalogue, fittings: [] });
    await settle();
    expect(view.lines()[0]!.findings.map((p) => p.rule)).toContain('part-gone');
  });
});
