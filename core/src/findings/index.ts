export {
  figuresOfFinding,
  holds,
  placeKey,
  severities,
  waiverOf,
  type Finding,
  type FindingPlace,
  type WhatIsFound,
  type Remedy,
  type Severity,
} from './finding.js';
export { areas, type Area, type Before, type RuleWords } from './rule.js';
