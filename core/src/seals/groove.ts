import type { Land } from '../connectors/index.js';
import type { ORing } from './o-rings.js';
import { quantity } from '../units/index.js';

/** How a ring lies in the groove of a face. Shares in per cent. */
export interface RingInGroove {
  /** By how much it is stretched over the inside of the groove; negative where it lies slack. */
  readonly stretchPercent: number;
  /** By how much its cord is squeezed; undefined where the depth of the groove is not said. */
  readonly squeezePercent?: number;
  /** How much of the groove it fills. */
  readonly fillPercent?: number;
  /** What is wrong with it; undefined where it seals. */
  readonly problem?: string;
}

/** Limits of a ring in a face groove. Source: common practice. */
const MOST_STRETCH = 5;
const SQUEEZE = [15, 30] as const;
const MOST_FILL = 90;
/** A ring may be pressed together by this much to go into its groove. */
const MOST_TUCK = 2;

/** Whether a ring seals in a groove: it lies between both walls, is hardly stretched, and its cord is squeezed enough and not crushed. */
export function ringInGroove(ring: Pick<ORing, 'insideMm' | 'sectionMm'>, { insideMm, outsideMm, depthMm }: Land): RingInGroove {
  const { sectionMm } = ring;
  const width = (outsideMm - insideMm) / 2;
  const stretchPercent = (insideMm / ring.insideMm - 1) * 100;
  const over = ((ring.insideMm + 2 * sectionMm) / outsideMm - 1) * 100;
  const squeeze = depthMm === undefined ? undefined : (1 - depthMm / sectionMm) * 100;
  const fill = depthMm === undefined ? undefined : ((Math.PI / 4) * sectionMm ** 2 * 100) / (width * depthMm);
  const problem =
    sectionMm > width
      ? `its cord of ${quantity(sectionMm, 'mm')} does not go into a groove ${quantity(width.toFixed(1), 'mm')} wide`
      : stretchPercent > MOST_STRETCH
        ? `it is stretched by ${stretchPercent.toFixed(0)} %`
        : over > MOST_TUCK
          ? 'it is too large for the groove'
          : squeeze === undefined
            ? 'the depth of the groove is not said'
            : squeeze < SQUEEZE[0]
              ? `its cord is squeezed by ${Math.max(0, squeeze).toFixed(0)} % only`
              : squeeze > SQUEEZE[1]
                ? `its cord is crushed by ${squeeze.toFixed(0)} %`
                : fill! > MOST_FILL
                  ? `it fills ${fill!.toFixed(0)} % of the groove`
                  : undefined;
  return {
    stretchPercent,
    ...(squeeze === undefined ? {} : { squeezePercent: squeeze, fillPercent: fill! }),
    ...(problem ? { problem } : {}),
  };
}
