import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { Outside } from './outside';

describe('what stands outside', () => {
  const asked = () => {
    TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] });
    const outside = TestBed.inject(Outside);
    return { outside, request: TestBed.inject(HttpTestingController).expectOne('/api/outside') };
  };
  const device = (name: string, simulated: boolean) => ({ name, simulated });

  it('is told by the server, once for all views', () => {
    const { outside, request } = asked();
    expect(outside.told()).toBeUndefined();
    const told = { supplier: device('a simulated supplier', true), printer: device('the printer', false), calliper: device('it', false) };
    request.flush(told);
    expect(outside.told()).toEqual(told);
    expect(TestBed.inject(Outside)).toBe(outside);
  });

  it('is not known where the server does not say, and stands in nobody’s way', () => {
    const { outside, request } = asked();
    request.flush({ code: 'internal', message: 'No.' }, { status: 500, statusText: 'No' });
    expect(outside.told()).toBeUndefined();
  });
});
