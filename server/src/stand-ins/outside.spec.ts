import { liveContracts } from '@gewinde/core';
import { startTestApp } from '../../test/test-app.js';
import { outsideOf, readOutside } from './outside.js';

describe('what stands outside', () => {
  it('is what ships to try with, where nobody says otherwise', () => {
    expect(readOutside({})).toEqual({ supplier: 'simulated', printer: 'simulated', calliper: 'simulated' });
    expect(readOutside({ GEWINDE_SUPPLIER: 'simulated' }).supplier).toBe('simulated');
  });

  it.each(['GEWINDE_SUPPLIER', 'GEWINDE_PRINTER', 'GEWINDE_CALLIPER'])('is refused by what it is called: %s', (name) => {
    for (const odd of ['fax', '', 'constructor'])
      expect(() => readOutside({ [name]: odd })).toThrow(`${name} must be simulated, not "${odd}".`);
  });

  it('says of each that it only acts as if, in words for the screen', async () => {
    const { told } = outsideOf();
    for (const [device, one] of Object.entries(told)) {
      expect(one.simulated).toBe(true);
      expect(one.name).toMatch(new RegExp(`^a simulated .*${device}$`));
    }
    const server = await startTestApp();
    try {
      expect((await server.ask(liveContracts.outside, {})).body).toEqual(told);
    } finally {
      await server.close();
    }
  });
});
