export {
  RULES,
  STARTER_SCHOOL,
  type Audience,
  type Finding,
  type Rule,
  type School,
  type Severity,
  type YouthLimits,
} from './finding.ts';
export { findFindings, type BodyReport, type FindingSettings } from './findFindings.ts';
