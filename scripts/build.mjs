/** `npm run build`: what `npm start` would build. */
import { build, checkNode, install } from './house.mjs';

checkNode();
install();
build();
