export { RULES, STARTER_SCHOOL, type Finding, type Rule, type School, type Severity } from './finding.ts';
export { findFindings, type BodyReport, type FindingSettings } from './findFindings.ts';
