import { TestBed } from '@angular/core/testing';
import { usualSealRules } from '@gewinde/core';
import { answer, openSampleJob, render, settle } from '../../test/open-job';
import { ShopStore } from '../data/shop-store';
import { PartsListView } from './parts-list';
import { SealRulesDialog } from './seal-rules-dialog';

describe('which seals are taken', () => {
  it('is set by order and choice, with what each fluid gets by it', async () => {
    const job = await openSampleJob();
    const dialog = await render(SealRulesDialog);
    expect(dialog.find('[role=status]').textContent).toContain('engine oil FKM');
    await dialog.press('button', 'Down: Fluorocarbon (FKM)');
    expect(dialog.find('[role=status]').textContent).toContain('engine oil HNBR');
    expect(dialog.find('button', 'Up: Hydrogenated nitrile (HNBR)')).toHaveProperty('disabled', true);
    await dialog.choose('Flat washers', 'aluminium');
    await dialog.press('button', 'Set');
    const rules = { ...usualSealRules, rings: ['hnbr', 'fkm', 'nbr', 'epdm', 'fvmq', 'vmq'] as const, flatWasher: 'aluminium' as const };
    const { commands, request } = job.shopSent();
    expect(commands).toEqual([{ do: 'set-seal-rules', version: 0, rules }]);
    const theirs = { id: 'seal-rules' as const, rules: usualSealRules, version: 1 };
    request.flush({ code: 'conflict', message: 'Somebody else has.', current: theirs }, { status: 409, statusText: 'stale' });
    await settle();
    await dialog.stable();
    expect(dialog.find('p[role=alert]').textContent).toContain('Set again to put yours over it');
    await dialog.press('button', 'Set');
    expect(job.shopSent().commands).toMatchObject([{ version: 1 }]);
    await dialog.press('button', 'The usual ones');
    expect(dialog.find('[role=status]').textContent).toContain('engine oil FKM');
  });

  it('is in the parts list as soon as it is told, here or elsewhere, and gone when it is taken back', async () => {
    await openSampleJob();
    const order = await render(PartsListView);
    expect(order.text()).toContain('Copper washer');
    const row = { id: 'seal-rules' as const, rules: { ...usualSealRules, flatWasher: 'aluminium' as const }, version: 1 };
    const shop = TestBed.inject(ShopStore);
    shop.receive({ ...answer('k'), put: [{ type: 'sealRules', row }], removed: [] }, true);
    await order.stable();
    expect(order.text()).toContain('Aluminium washer');
    shop.receive({ ...answer('l'), id: 2, put: [], removed: [{ type: 'sealRules', id: 'seal-rules' }] }, true);
    await order.stable();
    expect(order.text()).toContain('Copper washer');
  });
});
