import { coolantBoilsC, fuelBoilsUnderBar, petrolVapourBar } from '../src/index.js';

describe('water boils (IAPWS, as handbooks print it; from memory)', () => {
  // half glycol boils about 8 K later, common practice
  it.each([
    [1.013, 100],
    [2, 120.2],
    [3, 133.5],
  ])('at %d bar absolute at %d °C', (bar, celsius) => expect(Math.abs(coolantBoilsC(bar) - 8 - celsius)).toBeLessThan(0.35));
});

describe('fuel boils', () => {
  // psi at °F, by Reid vapour pressure in psi
  it.each([
    [7, 60, 3.5],
    [7, 100, 7.4],
    [10, 40, 3.4],
    [10, 60, 5.2],
    [10, 80, 7.4],
    [10, 100, 10.5],
  ])('petrol of RVP %d at %d °F: %d psi (table of EPA AP-42, 7.1; from memory)', (reid, fahrenheit, psi) => {
    const found = petrolVapourBar(reid * 0.0689476, (fahrenheit - 32) / 1.8) / 0.0689476;
    // its formula meets its table to 2 %, on the high side: as much as half a kelvin does
    expect(found / psi).toBeGreaterThan(0.985);
    expect(found / psi).toBeLessThan(1.025);
  });

  it.each([
    ['ethanol', 78.3],
    ['methanol', 64.6],
  ] as const)('%s at %d °C under the air (handbooks, from memory)', (fluid, celsius) =>
    expect(Math.abs(fuelBoilsUnderBar(fluid, celsius)! - 1.01325)).toBeLessThan(0.006),
  );
});
