/** The plain cautions of the product; never medical or legal advice. */

/** Comes before everything else, on the first start and on every sheet. */
export const FIRST_CAUTION =
  'The rules of your governing body, local law, the venue and a qualified coach come first. This program informs; it does not decide, and it gives no medical or legal advice.';

export const STANDING_CAUTIONS: readonly string[] = [
  'Warm up before anything fast or high.',
  'Air and pads before partners; contact only as your rules allow, and least for children.',
  'Gloves, wraps and gum shield as local rules ask.',
  'Pull the toes back or point them, as the kick needs it. Turn the standing foot before a spin.',
  'Never hit a training partner at home.',
  'Stop at pain, dizziness or a head knock, and see a licensed professional.',
];

export const CAUTIONS: readonly string[] = [FIRST_CAUTION, ...STANDING_CAUTIONS];
