/** An announcement that stands when the tests' clock does; `more` says what is different. */
export function announcement(subject: string, more: object = {}): object {
  return {
    subject,
    text: null,
    files: [],
    pinned: false,
    from: { kind: 'fixed', day: '2027-02-15', time: '09:00' },
    until: null,
    comments: false,
    ready: true,
    ...more,
  };
}
