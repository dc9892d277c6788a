/**
 * Whether somebody is signing out on this page. The server ends their stream at once, and what the page then asks for
 * again is answered with a 401: they are led on by their own press, not by that answer.
 */
let leaving = false;

export const isLeaving = (): boolean => leaving;

export function beLeaving(does: boolean): void {
  leaving = does;
}
