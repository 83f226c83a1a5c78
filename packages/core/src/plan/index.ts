export * from './length/fitToLength.ts';
export * from './plannedRound.ts';
export * from './length/stretchLimits.ts';
export * from './length/fitRounds.ts';
export * from './partners/pairUp.ts';
export * from './partners/calledName.ts';
export * from './partners/fairTurns.ts';
export * from './partners/partnerPlan.ts';
export * from './partners/partnerRounds.ts';
export * from './roundWork.ts';
export { sessionWarnings } from './warnings/sessionWarnings.ts';
export {
  WARNING_RULES,
  type Band,
  type ClassFacts,
  type SessionWarning,
  type WarnedBlock,
  type WarnedRound,
  type WarningRule,
} from './warnings/placedBlocks.ts';
export * from './heldRounds.ts';
export * from './missedRounds.ts';
export * from './comboName.ts';
export * from './gradeNumbers.ts';
export * from './tempoWords.ts';
export * from './planSession.ts';
export * from './warnings/youthConcerns.ts';
export * from './partners/runBegins.ts';
export * from './partners/replanPartners.ts';
export * from './classFacts.ts';
export * from './draft/wish.ts';
export * from './draft/choice/themeWords.ts';
export { DRAFT_MINUTES, draft } from './draft/draft.ts';
export { countedTechnique, type CountedTechnique } from './draft/rounds/techniqueRound.ts';
export * from './care/careNotes.ts';
export * from './compose/index.ts';
export { shapeOf, type LineShape } from './draft/choice/lineShape.ts';
export * from './season/season.ts';
