import { standardFittings, standardHoseEnds, standardHoses, standardSupplies, type Catalogue } from '@gewinde/core';
import { fails, judged, works } from './practice/index.js';

const catalogue: Catalogue = {
  fittings: standardFittings().map((f) => ({ ...f, priceMinor: 1000 })),
  hoses: standardHoses(),
  hoseEnds: standardHoseEnds(),
  supplies: standardSupplies(),
};

describe('what works in practice (common practice) is shown without red', () => {
  it.each(works.map((setUp) => [setUp.name, setUp] as const))('%s', (_, setUp) => expect(judged(setUp, catalogue).red).toEqual([]));
});

describe('what fails in practice (common practice) is shown in red', () => {
  it.each(fails.map((setUp) => [setUp.name, setUp] as const))('%s', (_, setUp) => expect(judged(setUp, catalogue).red).not.toEqual([]));
});
