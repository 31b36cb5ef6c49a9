/** A two-bolt flange as it is kept: mm between the bolts, which bolts, mm of bore: `2x44 bore20`, `2x38 m6 bore14`. */
export const FLANGE_SIZE = /^2x(\d+(?:\.\d+)?)(?: (m6|m8))? bore(\d+(?:\.\d+)?)$/;
