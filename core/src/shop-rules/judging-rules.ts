import { Type, type Static } from 'typebox';
import type { Frozen } from '../schema/index.js';

const percent = (most: number) => Type.Number({ minimum: 0, maximum: most });

/** Limits and habits by which a job is judged, where schools differ and no maker says it. */
export const JudgingRulesSchema = Type.Object(
  {
    /** Slack that a taped hose is given. */
    slackPercent: percent(20),
    /** Slack that a return through the filler cap needs, so that the cap lifts. */
    capSlackPercent: percent(20),
    /** How much longer than needed a hose may be that was bought made up: more hangs in the way. */
    madeExtraPercent: percent(50),
    /** From so many adapters at one end on it is told. */
    manyAdapters: Type.Integer({ minimum: 2, maximum: 6 }),
    /** A part that was taken out of the catalogue holds the line it stands in. */
    retiredHolds: Type.Boolean(),
    /** What is provisional holds its line, and not only the start. */
    provisionalHolds: Type.Boolean(),
  },
  { additionalProperties: false, title: 'JudgingRules' },
);
export type JudgingRules = Frozen<Static<typeof JudgingRulesSchema>>;

/** Common practice. */
export const usualJudgingRules: JudgingRules = {
  slackPercent: 2,
  capSlackPercent: 4,
  madeExtraPercent: 6,
  manyAdapters: 3,
  retiredHolds: true,
  provisionalHolds: false,
};
