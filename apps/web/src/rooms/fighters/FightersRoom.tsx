export { FighterList as FightersRoom } from './FighterList.tsx';
export { FighterPage as FighterRoom } from './FighterPage.tsx';
