/** What a thread of its own does with texts that take a while: they are cleaned, and others are answered meanwhile. */
import { cleanTexts } from './clean-texts.ts';

export default cleanTexts;
