import { inHouseUnits } from './in-house-units.js';

describe('a sentence in the units of the house', () => {
  it.each([
    ['it bears 100 °C, and it gets to 120 °C', 'it bears 212 °F, and it gets to 248 °F'],
    ['0.74 bar absolute; 0.6 bar are the least', '10.7 psi absolute; 9 psi are the least'],
    ['ball bearings take 0.5 to 1 L/min', 'ball bearings take 0.13 to 0.3 gal/min'],
    ['12.9 m/s; 6 m/s are usual at most', '42.3 ft/s; 20 ft/s are usual at most'],
    ['-10: its narrowest is 8.9 mm', '-10: its narrowest is 0.35 in'],
    ['it rises by 20 mm', 'it rises by 0.79 in'],
    ['230 kW burn 0.32 kg/kWh', '308 hp burn 0.32 kg/kWh'],
    ['L7 takes 10 mbar and 3 mmol', 'L7 takes 10 mbar and 3 mmol'],
    ['AS568-910, M14×1.5', 'AS568-910, M14×1.5'],
  ])('%s', (text, inch) => {
    expect(inHouseUnits(text, 'inch')).toBe(inch);
    expect(inHouseUnits(text, 'metric')).toBe(text);
  });
});
