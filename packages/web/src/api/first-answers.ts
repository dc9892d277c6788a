/** Answers that came along with the page, each good for the first who asks. */

const KEY = 'first-answers';

function read(): Map<string, unknown> {
  const element = document.getElementById(KEY);
  if (element === null) return new Map();
  element.remove();
  return new Map(Object.entries(JSON.parse(element.textContent) as Record<string, unknown>));
}

let answers: Map<string, unknown> | null = null;

/** @returns undefined where the server has to be asked. */
export function takeFirstAnswer(path: string): unknown {
  answers ??= read();
  const answer = answers.get(path);
  answers.delete(path);
  return answer;
}
