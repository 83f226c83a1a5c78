/** A reason not to start that a coach can do something about: reported as one sentence, without a stack. */
export class CannotStart extends Error {}
