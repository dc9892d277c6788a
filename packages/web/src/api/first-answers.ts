/** Answers that came along with the page, each good for the first who asks. */

const KEY = 'first-answers';
const answers = new Map<string, unknown>();

/** Once, before anything is asked for. */
export function readFirstAnswers(page: Document): void {
  const element = page.getElementById(KEY);
  if (element === null) return;
  element.remove();
  for (const [address, answer] of Object.entries(JSON.parse(element.textContent) as Record<string, unknown>))
    answers.set(address, answer);
}

/** @returns undefined where the server has to be asked. */
export function takeFirstAnswer(address: string): unknown {
  const answer = answers.get(address);
  answers.delete(address);
  return answer;
}
