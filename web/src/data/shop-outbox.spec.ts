import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { firstValueFrom } from 'rxjs';
import { answer, openSampleJob, settle } from '../../test/open-job';
import { ShopOutbox } from './shop-outbox';
import { ThisTab } from './this-tab';

const command = { do: 'reserve-lengths', jobId: 'job', lengths: [] } as const;
const stored = (): { key: string }[] =>
  JSON.parse(localStorage.getItem(`gewinde.outbox.shop.${TestBed.inject(ThisTab).id}`) ?? '[]') as { key: string }[];
const away = { status: 503, statusText: 'away' };

describe('what waits of the stockroom', () => {
  afterEach(() => jest.useRealTimers());

  it('is kept in the browser until it is answered, and its answer is told to who asked', async () => {
    const { shopSent } = await openSampleJob();
    const outbox = TestBed.inject(ShopOutbox);
    const asked = firstValueFrom(outbox.send([command]));
    const { key, request, commands } = shopSent();
    expect(commands).toEqual([command]);
    expect(stored().map((p) => p.key)).toEqual([key]);
    request.flush(answer(key, { label: 'Reserved' }));
    expect(await asked).toMatchObject({ key, label: 'Reserved' });
    expect(stored()).toEqual([]);
  });

  it('is refused once, and gone', async () => {
    const { shopSent } = await openSampleJob();
    const asked = firstValueFrom(TestBed.inject(ShopOutbox).send([command]));
    shopSent().request.flush({ code: 'not-enough', message: 'No.' }, { status: 409, statusText: 'no' });
    await expect(asked).rejects.toMatchObject({ code: 'not-enough', message: 'No.' });
    expect(stored()).toEqual([]);
  });

  it('is sent again under its key while the server is away, and whoever asked hears that it is kept', async () => {
    const { http } = await openSampleJob();
    jest.useFakeTimers();
    const outbox = TestBed.inject(ShopOutbox);
    const trouble: (string | null)[] = [];
    outbox.trouble$.subscribe((t) => trouble.push(t));
    const asked = firstValueFrom(outbox.send([command])).catch((error: unknown) => error);
    const keys = new Set<string>();
    for (let i = 0; i < 3; i++) {
      const request = http.expectOne('/api/shop/changes');
      keys.add((request.request.body as { key: string }).key);
      request.flush({ code: 'database-away', message: 'Away.' }, away);
      await jest.advanceTimersByTimeAsync(40_000);
    }
    expect(await asked).toMatchObject({ code: 'kept' });
    expect(trouble).toContain('Away.');
    expect(stored()).toHaveLength(1);
    const last = http.expectOne('/api/shop/changes');
    expect(keys).toEqual(new Set([(last.request.body as { key: string }).key]));
    last.flush(answer([...keys][0]!));
    expect(stored()).toEqual([]);
  });

  it('of an earlier page is sent when the app is opened again', async () => {
    const job = await openSampleJob();
    const key = '6f2d6e1c-0000-4000-8000-000000000009';
    localStorage.setItem(`gewinde.outbox.shop.${TestBed.inject(ThisTab).id}`, JSON.stringify([{ key, commands: [command] }, { key: 5 }]));
    const late: string[] = [];
    const outbox = TestBed.inject(ShopOutbox);
    outbox.late$.subscribe((change) => late.push(change.key));
    outbox.resume();
    await settle();
    const http = TestBed.inject(HttpTestingController);
    http.expectOne('/api/shop/changes').flush(answer(key));
    expect(late).toEqual([key]);
    expect(stored()).toEqual([]);
    expect(job.messages).toEqual([]);
  });
});
