/** A server that takes files in pieces (tus), as the browser's requests meet it: each piece goes as the test says. */

/** One that is on its way, by the name of its file. */
export interface OnTheWay {
  readonly name: string;
  readonly progress: (sent: number) => void;
  /** The piece has arrived. */
  readonly arrive: () => void;
  readonly answer: (status: number, body: unknown) => void;
  /** The line breaks, after so many bytes. */
  readonly breakOff: (after?: number) => void;
}

interface Stored {
  readonly name: string;
  readonly size: number;
  offset: number;
}

export const pieces = {
  stored: new Map<string, Stored>(),
  onTheWay: [] as OnTheWay[],
  /** Methods, in the order in which they came. */
  asked: [] as string[],
  reset(): void {
    pieces.stored.clear();
    pieces.onTheWay = [];
    pieces.asked = [];
  },
};

const nameIn = (metadata: string): string => {
  const written = metadata.split(',').find((part) => part.startsWith('name ')) ?? '';
  return Buffer.from(written.slice('name '.length), 'base64').toString();
};

export class PiecesRequest {
  readonly upload: { onprogress: ((event: { loaded: number; lengthComputable: true }) => void) | null } = {
    onprogress: null,
  };
  onload: (() => void) | null = null;
  onerror: (() => void) | null = null;
  status = 0;
  responseText = '';
  private method = '';
  private address = '';
  private readonly said = new Map<string, string>();
  private told = new Map<string, string>();
  private isOver = false;

  open(method: string, address: string): void {
    this.method = method;
    this.address = String(address);
  }
  setRequestHeader(name: string, value: string): void {
    this.said.set(name.toLowerCase(), value);
  }
  getResponseHeader(name: string): string | null {
    return this.told.get(name.toLowerCase()) ?? null;
  }
  abort(): void {
    this.isOver = true;
  }
  send(): void {
    pieces.asked.push(this.method);
    const id = this.address.split('/').at(-1) ?? '';
    const stored = pieces.stored.get(id);
    if (this.method === 'POST') queueMicrotask(() => this.create());
    else if (this.method === 'HEAD' && stored !== undefined) {
      const told = { 'upload-offset': String(stored.offset), 'upload-length': String(stored.size) };
      queueMicrotask(() => this.answer(200, told));
    } else if (this.method === 'PATCH' && stored !== undefined) this.take(stored);
    else queueMicrotask(() => this.answer(this.method === 'DELETE' ? 204 : 404, {}));
  }

  private create(): void {
    const id = `u${pieces.stored.size}`;
    const name = nameIn(this.said.get('upload-metadata') ?? '');
    pieces.stored.set(id, { name, size: Number(this.said.get('upload-length')), offset: 0 });
    this.answer(201, { location: `/api/uploads/${id}` });
  }
  private take(stored: Stored): void {
    const from = stored.offset;
    pieces.onTheWay.push({
      name: stored.name,
      progress: (loaded) => this.upload.onprogress?.({ loaded, lengthComputable: true }),
      arrive: () => {
        stored.offset = stored.size;
        this.answer(204, { 'upload-offset': String(stored.size) });
      },
      answer: (status, body) => {
        this.responseText = typeof body === 'string' ? body : JSON.stringify(body);
        this.answer(status, {});
      },
      breakOff: (after = 0) => {
        stored.offset = from + after;
        if (!this.isOver) this.onerror?.();
      },
    });
  }
  private answer(status: number, told: Readonly<Record<string, string>>): void {
    if (this.isOver) return;
    this.isOver = true;
    this.status = status;
    this.told = new Map(Object.entries(told));
    this.onload?.();
  }
}
