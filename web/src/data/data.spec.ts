import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { parseConnector } from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { catalogue, document } from '../../../core/testing/sample-job';
import { openSampleJob } from '../../test/open-job';
import { WaysService } from '../workers/ways-service';
import { Api, ApiError, clientId } from './api';
import { applyEdit, applyRow } from './apply-edit';
import { CatalogueStore } from './catalogue-store';
import { JobView } from './job-view';

describe('applyEdit', () => {
  const edit = (kind: 'job' | 'component' | 'port' | 'line', id: string, patch: Record<string, unknown>) =>
    applyEdit(document, { kind, id, version: 1, patch });

  it('changes the one row and leaves the rest', () => {
    expect(edit('job', 'job', { name: 'New' }).job.name).toBe('New');
    expect(edit('component', 'block', { name: 'New' }).components.map((c) => c.name)).toEqual(['New', 'turbo']);
    const lines = edit('line', 'line1', { name: 'New' }).lines;
    expect(lines[0]!.name).toBe('New');
    expect(lines[1]).toBe(document.lines[1]);
    expect(document.lines[0]!.name).toBe('Line 1');
  });

  it('reads a notation into the connector, and leaves the port alone when it cannot be read', () => {
    expect(edit('port', 'gallery', { notation: 'npt 1/8 f', label: 'x' }).ports[0]).toMatchObject({
      label: 'x',
      connector: { family: 'npt', size: '1/8' },
    });
    expect(edit('port', 'gallery', { notation: 'rubbish' }).ports[0]!.connector).toEqual(document.ports[0]!.connector);
  });

  it('takes a row as the server has it', () =>
    expect(applyRow(document, 'line', { ...document.lines[0]!, version: 9 } as never).lines[0]!.version).toBe(9));
});

describe('Api', () => {
  let api: Api;
  let http: HttpTestingController;
  beforeEach(() => {
    TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] });
    api = TestBed.inject(Api);
    http = TestBed.inject(HttpTestingController);
  });

  it('names the tab with every request and sends the version with every edit', () => {
    api.edit('component', 'c1', 4, { name: 'x' }).subscribe();
    const { request } = http.expectOne('/api/components/c1');
    expect([request.method, request.headers.get('x-gewinde-client'), request.body]).toEqual(['PATCH', clientId, { version: 4, name: 'x' }]);
    api.remove('port', 'p1', 2).subscribe();
    expect(http.expectOne('/api/ports/p1').request.body).toEqual({ version: 2 });
    api.duplicate('component', 'c1').subscribe();
    expect(http.expectOne('/api/components/c1/duplicate').request.method).toBe('POST');
  });

  it.each([
    [
      { code: 'conflict', message: 'Changed.', current: { id: 'x' } },
      409,
      { code: 'conflict', message: 'Changed.', away: false, current: { id: 'x' } },
    ],
    [{ code: 'database-away', message: 'Away.' }, 503, { code: 'database-away', away: true }],
    ['<html>proxy</html>', 502, { code: 'server-away', away: true }],
  ])('makes one kind of error of %j', async (body, status, expected) => {
    const asked = firstValueFrom(api.job('x'));
    http.expectOne('/api/jobs/x').flush(body, { status, statusText: 'x' });
    const error = await asked.catch((e: unknown) => e);
    expect(error).toBeInstanceOf(ApiError);
    expect(error).toMatchObject(expected);
  });
});

describe('a sensor in a port', () => {
  const seat = (sensor: object | null) =>
    applyEdit(document, { kind: 'port', id: 'gallery', version: 1, patch: { sensor } }).ports.find((p) => p.id === 'gallery')!.sensor;

  it('is read from its notation at once, and one that cannot be read is not there', () => {
    expect(seat({ name: 'switch', notation: 'm14x1.5 m washer', movedTo: null })).toEqual({
      name: 'switch',
      connector: parseConnector('m14x1.5 m washer'),
      movedTo: null,
    });
    expect(seat({ name: 'switch', notation: 'm14x', movedTo: null })).toBeNull();
    expect(seat(null)).toBeNull();
  });
});

describe('the catalogue and what is made of it', () => {
  it('is fetched again when asked, and lines are put together anew', async () => {
    const { http } = await openSampleJob();
    const view = TestBed.inject(JobView);
    expect(view.lines().map((l) => l.state)).toEqual(['seals', 'seals', 'seals']);
    TestBed.inject(CatalogueStore).refresh();
    http.expectOne('/api/catalogue').flush({ ...catalogue, fittings: [] });
    expect(view.lines()[0]!.problems.map((p) => p.code)).toContain('part-missing');
  });

  it('tells the worker, which answers each question by itself', async () => {
    await openSampleJob();
    const ways = TestBed.inject(WaysService);
    const hoseEnd = catalogue.hoseEnds.find((e) => e.id === 'end-ptfe-6-0')!;
    const [first, second] = await Promise.all([
      firstValueFrom(ways.ways({ port: { connector: parseConnector('orb6 f') }, hoseEnd, options: {} })),
      firstValueFrom(ways.ways({ port: { connector: parseConnector('an6 m') }, hoseEnd, options: {} })),
    ]);
    expect(first.ways[0]!.fittings).toEqual([{ id: 'orb6m+an6m', inEnd: 0, outEnd: 1 }]);
    expect(second.ways[0]!.name).toBe('Straight on the port');
  });
});
