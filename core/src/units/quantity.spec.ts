import { hasQuantities, inHouseUnits, quantity, roundedDown, roundedUp, taped } from './quantity.js';

describe('a sentence in the units of the house', () => {
  it.each([
    [`it bears ${quantity(100, '°C')}, and it gets to ${quantity(120, '°C')}`, 'it bears 212 °F, and it gets to 248 °F'],
    [`${quantity('0.74', 'bar')} absolute; ${quantity('0.6', 'bar')} are the least`, '10.7 psi absolute; 9 psi are the least'],
    [`ball bearings take ${quantity('0.5', 'L/min', 1)}`, 'ball bearings take 0.13 to 0.3 gal/min'],
    [`${quantity('12.9', 'm/s')}; ${quantity(6, 'm/s')} are usual at most`, '42.3 ft/s; 20 ft/s are usual at most'],
    [`-10: its narrowest is ${quantity('8.9', 'mm')}`, '-10: its narrowest is 0.35 in'],
    [`it rises by ${quantity(20, 'mm')}`, 'it rises by 0.79 in'],
    [`from ${quantity(-60, '°C', 250)}`, 'from −76 to 482 °F'],
    [`${quantity(230, 'kW')} burn 0.32 kg/kWh`, '308 hp burn 0.32 kg/kWh'],
    [`no more than ${quantity(10, 'mbar')} in the crankcase`, 'no more than 0.15 psi in the crankcase'],
    [`${quantity(25, 'N·m')} in aluminium`, '18 lbf·ft in aluminium'],
    [`it bears ${roundedDown(7, 'bar')}`, 'it bears 101 psi'],
    [`${roundedUp(7, 'bar')} may stand in it`, '102 psi may stand in it'],
    [`it bears ${roundedDown('3.4', 'bar')}`, 'it bears 49 psi'],
    [`it is good to ${roundedUp(-40, '°C')}, and it gets to ${roundedDown(-41, '°C')}`, 'it is good to −40 °F, and it gets to −42 °F'],
    [`${taped(664)} seat to seat`, '26 1/8 in seat to seat'],
  ])('%s', (text, inch) => {
    expect(inHouseUnits(text, 'inch')).toBe(inch);
    expect(hasQuantities(inHouseUnits(text, 'metric'))).toBe(false);
  });

  it('reads in its own units where the house has them, and as it stands', () => {
    const text = `it bears ${quantity(7, 'bar')} and ${taped(664)}`;
    expect(inHouseUnits(text, 'metric')).toBe('it bears 7 bar and 664 mm');
    expect(text).toContain('7 bar');
  });

  it.each(['AS568-910, M14×1.5', 'Spacer 20 mm', 'L7 takes 3 mmol, 7 bar it is called'])('leaves what is no quantity: %s', (text) => {
    expect(inHouseUnits(text, 'inch')).toBe(text);
  });

  it('says what a label that was cut off still has', () => {
    const label = `Trim it to ${taped(664)}`;
    expect(inHouseUnits(label.slice(0, -4), 'inch')).toBe('Trim it to 664 ');
    expect(inHouseUnits(label.slice(0, -3), 'inch')).toBe('Trim it to 664 m');
  });

  it('knows the unit, or leaves it', () => expect(inHouseUnits(quantity(3, 'cSt'), 'inch')).toBe('3 cSt'));
});
