export { ChooseRoom } from './ChooseRoom.tsx';
export { RunRoom } from './RunRoom.tsx';
