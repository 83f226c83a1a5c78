/** The path of Debian's headless Chromium. @throws with a sentence where there is none and none may be installed */
export function needChromium(): string;
