import { TestBed } from '@angular/core/testing';
import { By } from '@angular/platform-browser';
import { findEntry } from '@gewinde/core';
import { openSampleJob, render } from '../../test/open-job';
import { ShopStore } from '../data/shop-store';
import { EntryPicker } from '../stock/entry-picker';
import { BesideDialog } from './beside-dialog';

const RING = 'o-ring fkm AS568-906';
const opening = async () => {
  const opened = await openSampleJob();
  const dialog = await render(BesideDialog);
  const add = async (part: string) => {
    const picker = dialog.fixture.debugElement.query(By.directive(EntryPicker)).componentInstance as EntryPicker;
    picker.picked.emit(findEntry(TestBed.inject(ShopStore).catalogue()!, part)!);
    await dialog.stable();
  };
  return { opened, dialog, add };
};

describe('parts beside the lines', () => {
  it('are added, counted, and taken out; none twice', async () => {
    const { opened, dialog, add } = await opening();
    await add(RING);
    const first = opened.sent();
    const [command] = first.commands as { do: string; set: { beside: { part: string; quantity: number }[] } }[];
    expect(command).toMatchObject({ do: 'edit-job', set: { beside: [{ quantity: 1 }] } });
    const quantity = dialog.all('input').find((e) => e.getAttribute('aria-label')?.startsWith('Quantity of'))!;
    expect((quantity as HTMLInputElement).value).toBe('1');
    await dialog.type(quantity.getAttribute('aria-label')!, '4');
    expect(opened.store.document()?.job.beside ?? []).toEqual([{ part: command!.set.beside[0]!.part, quantity: 4 }]);
    await add(RING);
    expect(opened.messages.at(-1)?.text).toContain('is in the list already');
    await dialog.press('button', 'Remove');
    expect(opened.store.document()?.job.beside ?? []).toEqual([]);
    expect(dialog.all('table')).toEqual([]);
  });

  it.each(['0', '-2', '1.5', 'some'])('are not %s: it is said, and what stood there stands', async (typed) => {
    const { opened, dialog, add } = await opening();
    await add(RING);
    const quantity = dialog.all('input').find((e) => e.getAttribute('aria-label')?.startsWith('Quantity of')) as HTMLInputElement;
    await dialog.type(quantity.getAttribute('aria-label')!, typed);
    expect(opened.messages.at(-1)?.text).toContain('a whole number from 1');
    expect(quantity.value).toBe('1');
  });
});
