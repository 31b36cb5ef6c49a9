import { Type } from 'typebox';
import { DrillResultsSchema, DrillVerdictSchema, FittingSeenSchema, JawsSchema, PlaceSchema, ReadingSchema } from '../drill/index.js';
import { letters, Words } from '../schema/index.js';
import { contract } from './contract.js';
import { ShownJobSchema } from './shown-job.js';

const strict = { additionalProperties: false } as const;
const FittingId = Type.String({ minLength: 1, maxLength: 20 });
const ReadingAsked = Type.Object({ fitting: FittingId, jaws: JawsSchema, place: PlaceSchema }, strict);
const Apprentice = Words(letters.apprentice);
const FaultAnswer = Type.String({ minLength: 1, maxLength: 60 });
const WhoseDrill = Type.Object({ apprentice: Apprentice }, strict);

export const benchContracts = {
  readTray: contract({
    method: 'GET',
    path: '/api/calliper/tray',
    summary: 'The loose fittings on the tray, as the eye sees them',
    answer: Type.Object({ uncertaintyMm: Type.Number(), fittings: Type.Array(FittingSeenSchema) }, { title: 'Tray' }),
    status: 200,
  }),
  takeReading: contract({
    method: 'POST',
    path: '/api/calliper/readings',
    summary: 'One reading off the calliper',
    body: ReadingAsked,
    answer: ReadingSchema,
    status: 200,
  }),
  liveReadings: contract({
    method: 'GET',
    path: '/api/calliper/live',
    summary: 'Readings as the calliper sends them (server-sent events)',
    query: ReadingAsked,
    answer: ReadingSchema,
    status: 200,
    type: 'text/event-stream; charset=utf-8',
  }),
  drillResults: contract({
    method: 'GET',
    path: '/api/drill',
    summary: "An apprentice's results and weak pairs",
    query: WhoseDrill,
    answer: DrillResultsSchema,
    status: 200,
  }),
  nextFitting: contract({
    method: 'POST',
    path: '/api/drill/next',
    summary: 'The next fitting to measure and name',
    body: WhoseDrill,
    answer: FittingSeenSchema,
    status: 200,
  }),
  answerDrill: contract({
    method: 'POST',
    path: '/api/drill/answers',
    summary: 'What the apprentice calls it',
    body: Type.Object(
      { apprentice: Apprentice, fitting: FittingId, answer: Type.String({ minLength: 1, maxLength: letters.drillAnswer }) },
      strict,
    ),
    answer: DrillVerdictSchema,
    status: 200,
  }),
  forgetDrill: contract({
    method: 'DELETE',
    path: '/api/drill',
    summary: "Forget an apprentice's answers",
    body: WhoseDrill,
    answer: Type.Null(),
    status: 204,
  }),
  faultResults: contract({
    method: 'GET',
    path: '/api/faults',
    summary: 'What an apprentice found on made lines, and what was taken for what',
    query: WhoseDrill,
    answer: DrillResultsSchema,
    status: 200,
  }),
  nextLine: contract({
    method: 'POST',
    path: '/api/faults/next',
    summary: 'The next line to look over: faulty or sound',
    body: WhoseDrill,
    answer: Type.Object(
      {
        id: Type.String(),
        /** The last of its lines is the one that is asked about. */
        job: ShownJobSchema,
        said: Type.Array(Type.Object({ about: Type.String(), said: Type.String() })),
        /** Rules, one of which may be broken. */
        choices: Type.Array(Type.String()),
      },
      { title: 'LineAsked' },
    ),
    status: 200,
  }),
  answerFault: contract({
    method: 'POST',
    path: '/api/faults/answers',
    summary: 'What the apprentice holds to be wrong with it: a rule, or nothing',
    body: Type.Object({ apprentice: Apprentice, question: FaultAnswer, answer: FaultAnswer }, strict),
    answer: Type.Object(
      { right: Type.Boolean(), truth: Type.String(), answer: Type.String(), message: Type.String() },
      { title: 'FaultVerdict' },
    ),
    status: 200,
  }),
  forgetFaults: contract({
    method: 'DELETE',
    path: '/api/faults',
    summary: 'Forget what an apprentice found',
    body: WhoseDrill,
    answer: Type.Null(),
    status: 204,
  }),
};
