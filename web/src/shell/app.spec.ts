import { TestBed } from '@angular/core/testing';
import { NavigationStart, Router } from '@angular/router';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { Subject } from 'rxjs';
import { document as sample } from '../../../core/testing/sample-job';
import { JobStore } from '../data/job-store';
import { openSampleJob, settle } from '../../test/open-job';
import { App } from './app';
import { KeysDialog } from './keys-dialog';

/** The app at an address, with a navigation that the test drives. */
async function appAt(url: string) {
  const job = await openSampleJob();
  const router = TestBed.inject(Router);
  const events = new Subject<unknown>();
  Object.defineProperty(router, 'events', { value: events });
  Object.defineProperty(router, 'url', { value: url });
  const app = TestBed.createComponent(App);
  app.detectChanges();
  const go = (to: string, id = 2) => {
    events.next(new NavigationStart(id, to));
    app.detectChanges();
  };
  return { ...job, go };
}

describe('a dialog', () => {
  const opened = () => {
    const left: unknown[] = [];
    TestBed.inject(NgbModal)
      .open(KeysDialog, { animation: false })
      .result.catch((reason: unknown) => left.push(reason));
    return left;
  };

  it.each([
    ['to another line', '/job/job/lines/line2'],
    ['to another step', '/job/job/cut'],
    ['to the store', '/store'],
  ])('is closed by going %s, by back and forward too', async (_, to) => {
    const { go } = await appAt('/job/job/lines/line1');
    const left = opened();
    go(to);
    await settle();
    expect(left).toEqual(['left']);
    expect(TestBed.inject(NgbModal).hasOpenModals()).toBe(false);
  });

  it('stays where only what is shown of the page changes', async () => {
    const { go } = await appAt('/job/job/lines/line1');
    const left = opened();
    go('/job/job/lines/line1?joint=2');
    await settle();
    expect(left).toEqual([]);
    TestBed.inject(NgbModal).dismissAll();
  });
});

describe('the job that was open before the page was loaded again', () => {
  const kept = { ...sample, job: { ...sample.job, id: 'kept' } };
  const closedWith = (jobId: string) => {
    TestBed.inject(JobStore).close();
    sessionStorage.setItem('gewinde.job', jobId);
  };
  afterEach(() => sessionStorage.clear());

  it.each(['/store', '/store/rack', '/bench/pair', '/flow'])('goes on beside %s', async (url) => {
    const { go, http, store } = await appAt(url);
    store.open('kept');
    http.expectOne('/api/jobs/kept').flush({ document: kept, at: 0 });
    const remembered = Object.fromEntries(Object.entries(sessionStorage));
    store.close();
    for (const [key, value] of Object.entries(remembered)) sessionStorage.setItem(key, value as string);
    go(url, 1);
    http.expectOne('/api/jobs/kept').flush({ document: kept, at: 0 });
    expect(store.jobId()).toBe('kept');
  });

  it.each(['/', '/job/other/lines'])('is left to the address at %s', async (url) => {
    const { go, http } = await appAt(url);
    closedWith('kept');
    go(url, 1);
    http.expectNone('/api/jobs/kept');
  });

  it('is taken up once: later ways lead where they lead', async () => {
    const { go, http } = await appAt('/store');
    closedWith('kept');
    go('/bench/pair', 2);
    http.expectNone('/api/jobs/kept');
  });
});
