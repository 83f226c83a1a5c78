export * from './voiceClip.ts';
export * from './fitCalls.ts';
export * from './numberWords.ts';
export * from './callForms.ts';
export * from './countWords.ts';
export * from './vocabulary.ts';
export * from './soundAlike.ts';
export * from './plainLetters.ts';
