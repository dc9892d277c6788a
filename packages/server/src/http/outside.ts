/** What services outside this installation is set up with. */
import type { Config } from '../config/config.ts';
import type { Outside } from '../usecases/joining/door.ts';

export const outsideOf = ({ mail, desk }: Config): Outside => ({
  hasMail: mail !== null,
  hasDesk: desk !== null,
});
