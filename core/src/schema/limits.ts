/**
 * How long, how many, how large, how often: the one table of limits. Schemas, job file, lists, server and screen read it; what goes beyond
 * is refused in words ({@link limitProblem}), never cut.
 */

/** Signs of a text, as they are counted by their code points. */
export const letters = {
  jobNumber: 20,
  jobName: 120,
  /** Of a component, a port or a line. */
  name: 80,
  sensorName: 60,
  /** A note, and what a job is. */
  note: 2000,
  jointWords: 200,
  notation: 80,
  portNotation: 240,
  portSaid: 80,
  rowId: 64,
  placeKey: 40,
  partId: 80,
  partName: 160,
  partSource: 160,
  code: 60,
  supplier: 80,
  material: 60,
  figure: 60,
  passages: 600,
  apprentice: 60,
  drillAnswer: 40,
  search: 120,
  /** Lines in words, some forty at once. */
  lineText: 6000,
  /** Where a thing lies: `shelf 2, bay 4`. */
  place: 60,
  initials: 12,
  /** `PO-0012`, `2403-L4/2`, `H-0031`. */
  paperNumber: 40,
  /** The place of a finding by one name: up to four ids. */
  findingPlace: 320,
} as const;
export type TextLimit = keyof typeof letters;

/** Rows and entries. */
export const counts = {
  componentsOfJob: 200,
  portsOfComponent: 200,
  linesOfJob: 500,
  hosesOfLine: 6,
  fittingsOfWay: 6,
  branchesOfWay: 24,
  pinnedOfWay: 6,
  jointsOfLine: 120,
  /** The highest number of a line: they are not given out twice. */
  lineNumber: 1_000_000,
  endsOfPart: 12,
  casesOfPort: 6,
  commandsOfChange: 1000,
  shopCommandsOfChange: 100,
  fittingsOfFile: 3000,
  hosesOfFile: 500,
  hoseEndsOfFile: 1000,
  jobsOfPage: 100,
  pricesOfOffer: 12,
  partsOfOffer: 80,
  linesOfOrder: 400,
  deliveriesOfOrder: 60,
  checksOfLine: 12,
  jobsOfOrder: 20,
  jobsOnStock: 60,
  lengthsReserved: 500,
  partsBeside: 200,
  waiversOfJob: 200,
  deviationsOfJob: 60,
  /** Problems of one request for plans, and what stands in each. */
  cutProblems: 60,
  cutStock: 400,
  cutDemand: 600,
  planOffers: 3000,
  planNeeds: 600,
  planSuppliers: 60,
} as const;

/** A list of parts as a spreadsheet writes it. */
export const listLimits = { lines: 20_000, columns: 120, lettersOfCell: 2000, letters: 8 * 1024 * 1024 } as const;

/** Bodies of requests, bytes. */
export const bytes = {
  usual: 256 * 1024,
  change: 2 * 1024 * 1024,
  jobFile: 4 * 1024 * 1024,
  list: listLimits.letters + 64 * 1024,
} as const;

/** What one server bears. */
export const rates = {
  requestsPerMinute: 3000,
  listeners: 1500,
  /** From one address: a shop behind one has no more pages open, and nobody takes every place. */
  listenersAnAddress: 300,
  /** Until a request has come in whole. */
  requestSeconds: 60,
  /** Heavy work by its kind: how much at once, how much may wait, and how much of both one client may have. */
  heavy: {
    pages: { atOnce: 2, waiting: 60, share: 40 },
    lists: { atOnce: 2, waiting: 24, share: 12 },
    plans: { atOnce: 2, waiting: 24, share: 8 },
    papers: { atOnce: 1, waiting: 24, share: 12 },
  },
} as const;

/**
 * What is wrong with a value that a schema refused for its size, to follow its name (`is …`); undefined for another reason.
 *
 * @param keyword of JSON Schema
 * @param params as validators tell them: `{ limit }`, `{ comparison, limit }`
 */
export function limitProblem(keyword: string, params: Readonly<Record<string, unknown>>): string | undefined {
  const limit = Number(params['limit']);
  const many = (what: string): string => `${limit} ${limit === 1 ? what : `${what}s`}`;
  switch (keyword) {
    case 'maxLength':
      return `is too long: ${many('letter')} at most`;
    case 'minLength':
      return limit <= 1 ? 'is empty' : `is too short: ${many('letter')} at least`;
    case 'maxItems':
    case 'maxProperties':
      return `has too much in it: ${many('entry').replace('entrys', 'entries')} at most`;
    case 'minItems':
      return limit <= 1 ? 'has nothing in it' : `has too little in it: ${many('entry').replace('entrys', 'entries')} at least`;
    case 'maximum':
      return `is too large: ${limit} at most`;
    case 'minimum':
      return `is too small: ${limit} at least`;
    case 'exclusiveMinimum':
      return `is too small: more than ${limit} it has to be`;
    default:
      return undefined;
  }
}
