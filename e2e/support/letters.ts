/** The letters of a run, as the stand-in for a mail service has them, and what it is told to do. */
import { expect } from '@playwright/test';

export interface Letter {
  readonly id: string;
  readonly subject: string;
  readonly text: string;
  readonly html: string;
  readonly times: number;
}

function box(): string {
  const url = process.env['E2E_LETTERS'];
  if (url === undefined) throw new Error('E2E_LETTERS is not set; end-to-end tests are run by npm test');
  return url;
}

export async function lettersTo(address: string): Promise<readonly Letter[]> {
  const answer = await fetch(`${box()}/letters.json?to=${encodeURIComponent(address)}`);
  return (await answer.json()) as Letter[];
}

/** Waits until somebody has so many letters, and gives the newest. */
export async function newestTo(address: string, least = 1): Promise<Letter> {
  await expect.poll(async () => (await lettersTo(address)).length).toBeGreaterThanOrEqual(least);
  const [newest] = await lettersTo(address);
  return newest!;
}

/** The page that a letter leads to, on the site that it is about. */
export const pathIn = ({ text }: Letter): string => /https?:\/\/[^/\s]+(\/\S+)/.exec(text)?.[1] ?? '';

export async function comesBack(address: string): Promise<void> {
  const body = new URLSearchParams({ address });
  await fetch(`${box()}/comes-back`, { method: 'POST', body, redirect: 'manual' });
}
