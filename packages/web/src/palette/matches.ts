/** Which commands fit what is typed: those whose words begin so first, then those that hold it. Pure. */
import { fold } from '../words/fold.ts';
import type { Command } from '../stores/commands.ts';

const MOST = 40;

export function bestMatches(commands: readonly Command[], find: string): readonly Command[] {
  const words = fold(find).split(/\s+/).filter(Boolean);
  if (words.length === 0) return commands.slice(0, MOST);
  const scored = commands.flatMap((command, index) => {
    const text = fold(`${command.title} ${command.note ?? ''}`);
    if (!words.every((word) => text.includes(word))) return [];
    const parts = text.split(/[^\p{L}\p{N}]+/u);
    const beginnings = words.filter((word) => parts.some((part) => part.startsWith(word))).length;
    return [{ command, index, beginnings }];
  });
  scored.sort((a, b) => b.beginnings - a.beginnings || a.index - b.index);
  return scored.slice(0, MOST).map(({ command }) => command);
}
