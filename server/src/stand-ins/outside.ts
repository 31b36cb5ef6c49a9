import type { AnswerOf, liveContracts } from '@gewinde/core';
import type { Calliper } from './calliper/calliper.js';
import { SimulatedCalliper } from './calliper/simulated-calliper.js';
import { SimulatedLabelPrinter, type LabelPrinter } from './label-printer/label-printer.js';
import { SimulatedSupplier } from './supplier/simulated-supplier.js';
import type { SupplierDesk } from './supplier/supplier-desk.js';

/** Something outside the app that can be chosen, by the name it has in the configuration. */
interface Kind<T> {
  /** As the screen calls it. */
  readonly name: string;
  /** It acts as if, and nothing outside hears of it: the screen says so. */
  readonly simulated: boolean;
  readonly make: () => T;
}

/** All that can stand behind each; the first is taken where nobody says which. Another device is another entry here. */
const kinds = {
  supplier: { simulated: { name: 'a simulated supplier', simulated: true, make: () => new SimulatedSupplier() } },
  printer: { simulated: { name: 'a simulated label printer', simulated: true, make: () => new SimulatedLabelPrinter() } },
  calliper: { simulated: { name: 'a simulated calliper', simulated: true, make: () => new SimulatedCalliper() } },
} satisfies {
  supplier: Record<string, Kind<SupplierDesk>>;
  printer: Record<string, Kind<LabelPrinter>>;
  calliper: Record<string, Kind<Calliper>>;
};
type Device = keyof typeof kinds;

/** What stands behind each, by its name in the configuration. */
export type OutsideNames = Readonly<Record<Device, string>>;

/** What stands outside, ready to be used, and how each is told. */
export interface Outside {
  readonly supplier: SupplierDesk;
  readonly printer: LabelPrinter;
  readonly calliper: Calliper;
  readonly told: AnswerOf<typeof liveContracts.outside>;
}

/** Reads which of each is wanted: `GEWINDE_SUPPLIER`, `GEWINDE_PRINTER`, `GEWINDE_CALLIPER`. @throws {RangeError} for one that is not there */
export function readOutside(env: NodeJS.ProcessEnv): OutsideNames {
  const named = (device: Device): string => {
    const known = Object.keys(kinds[device]);
    const said = env[`GEWINDE_${device.toUpperCase()}`] ?? known[0]!;
    if (!known.includes(said)) throw new RangeError(`GEWINDE_${device.toUpperCase()} must be ${known.join(' or ')}, not "${said}".`);
    return said;
  };
  return { supplier: named('supplier'), printer: named('printer'), calliper: named('calliper') };
}

export function outsideOf(names: OutsideNames = readOutside({})): Outside {
  const of = <D extends Device>(device: D): Kind<Outside[D]> =>
    (kinds[device] as unknown as Record<string, Kind<Outside[D]>>)[names[device]]!;
  const told = (device: Device): { name: string; simulated: boolean } => ({ name: of(device).name, simulated: of(device).simulated });
  return {
    supplier: of('supplier').make(),
    printer: of('printer').make(),
    calliper: of('calliper').make(),
    told: { supplier: told('supplier'), printer: told('printer'), calliper: told('calliper') },
  };
}
