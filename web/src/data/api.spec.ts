import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { benchContracts, jobContracts, shopContracts } from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { Api, ApiError } from './api';
import { ThisTab } from './this-tab';

describe('Api', () => {
  let api: Api;
  let http: HttpTestingController;
  beforeEach(() => {
    TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] });
    api = TestBed.inject(Api);
    http = TestBed.inject(HttpTestingController);
  });

  it('makes each request by its contract, and names the tab', () => {
    api.call(shopContracts.readPart, { params: { part: 'an6m+npt1/8f' } }).subscribe();
    const { request } = http.expectOne('/api/catalogue/parts/an6m%2Bnpt1%2F8f');
    expect([request.method, request.headers.get('x-gewinde-client')]).toEqual(['GET', TestBed.inject(ThisTab).id]);
    api.call(jobContracts.listJobs, { query: { archived: 'true' } }).subscribe();
    http.expectOne('/api/jobs?archived=true');
    api.call(benchContracts.forgetDrill, { body: { apprentice: 'A' } }).subscribe();
    expect(http.expectOne({ method: 'DELETE', url: '/api/drill' }).request.body).toEqual({ apprentice: 'A' });
  });

  it.each([
    [
      { code: 'conflict', message: 'Changed.', current: { id: 'x' } },
      409,
      { code: 'conflict', transient: false, details: { current: { id: 'x' } } },
    ],
    [{ code: 'too-many-requests', message: 'Wait.' }, 429, { code: 'too-many-requests', transient: true }],
    [{ code: 'internal', message: 'Broken.' }, 500, { code: 'internal', transient: true }],
    ['<html>proxy</html>', 502, { code: 'server-away', transient: true }],
    ['<html>proxy</html>', 413, { code: 'server-away', transient: false }],
  ])('makes one kind of error of %j, and knows what is worth trying again', async (body, status, expected) => {
    const asked = firstValueFrom(api.call(jobContracts.readJob, { params: { id: 'x' } }));
    http.expectOne('/api/jobs/x').flush(body, { status, statusText: 'x' });
    const error: unknown = await asked.catch((e: unknown) => e);
    expect(error).toBeInstanceOf(ApiError);
    expect(error).toMatchObject(expected);
  });
});
