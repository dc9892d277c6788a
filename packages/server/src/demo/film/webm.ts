/**
 * A film of still pictures as WebM (RFC 8794 and RFC 9559): one VP8 track in which every picture is a key frame, so that
 * a player can go anywhere in it.
 */

/** A length in as few bytes as hold it; `fixed` bytes where its size has to be known beforehand. */
function lengthOf(size: number, fixed = 0): Buffer {
  let bytes = Math.max(1, fixed);
  while (fixed === 0 && size >= 2 ** (7 * bytes) - 1) bytes += 1;
  const out = Buffer.alloc(bytes);
  let rest = size;
  for (let at = bytes - 1; at >= 0; at -= 1) {
    out[at] = rest % 256;
    rest = Math.floor(rest / 256);
  }
  out[0] = (out[0] ?? 0) | (0x80 >> (bytes - 1));
  return out;
}

function element(id: number, ...content: readonly Buffer[]): Buffer {
  const hex = id.toString(16);
  const body = Buffer.concat([...content]);
  return Buffer.concat([
    Buffer.from(hex.padStart(hex.length + (hex.length % 2), '0'), 'hex'),
    lengthOf(body.length),
    body,
  ]);
}

const WIDE = 4;
function uint(value: number, bytes = WIDE): Buffer {
  const out = Buffer.alloc(bytes);
  out.writeUIntBE(value, 0, bytes);
  return out;
}
function float(value: number): Buffer {
  const out = Buffer.alloc(8);
  out.writeDoubleBE(value);
  return out;
}
const text = (value: string): Buffer => Buffer.from(value, 'ascii');

const MILLISECONDS = 1_000_000;
const KEY_FRAME = 0x80;
/** A block's time is counted from its cluster's, in two bytes. */
const CLUSTER_MS = 30_000;

export interface Still {
  /** A VP8 key frame. */
  readonly frame: Buffer;
  /** In milliseconds. */
  readonly at: number;
}

/** @param lasts in milliseconds */
export function webm(stills: readonly Still[], width: number, height: number, lasts: number): Buffer {
  const head = element(
    0x1a45dfa3,
    element(0x4286, uint(1)),
    element(0x42f7, uint(1)),
    element(0x42f2, uint(4)),
    element(0x42f3, uint(8)),
    element(0x4282, text('webm')),
    element(0x4287, uint(2)),
    element(0x4285, uint(2)),
  );
  const info = element(
    0x1549a966,
    element(0x2ad7b1, uint(MILLISECONDS)),
    element(0x4489, float(lasts)),
    element(0x4d80, text('Itinerary')),
    element(0x5741, text('Itinerary')),
  );
  const video = element(0xe0, element(0xb0, uint(width)), element(0xba, uint(height)));
  const track = element(
    0xae,
    element(0xd7, uint(1)),
    element(0x73c5, uint(1)),
    element(0x83, uint(1)),
    element(0x86, text('V_VP8')),
    video,
  );
  const tracks = element(0x1654ae6b, track);
  const clusters = Array.from({ length: Math.ceil(lasts / CLUSTER_MS) }, (_, index) => {
    const begins = index * CLUSTER_MS;
    const within = stills.filter(({ at }) => at >= begins && at < begins + CLUSTER_MS);
    const blocks = within.map(({ frame, at }) =>
      element(0xa3, Buffer.from([0x81]), uint(at - begins, 2), Buffer.from([KEY_FRAME]), frame),
    );
    return { begins, bytes: element(0x1f43b675, element(0xe7, uint(begins)), ...blocks) };
  }).filter(({ bytes }) => bytes.length > 16);
  // Where each cluster stands depends on how long this list is, and that on nothing but their number.
  const cuesAt = (first: number): Buffer => {
    let position = first;
    const points = clusters.map(({ begins, bytes }) => {
      const point = element(
        0xbb,
        element(0xb3, uint(begins)),
        element(0xb7, element(0xf7, uint(1)), element(0xf1, uint(position))),
      );
      position += bytes.length;
      return point;
    });
    return element(0x1c53bb6b, ...points);
  };
  const before = info.length + tracks.length;
  const cues = cuesAt(before + cuesAt(0).length);
  return Buffer.concat([
    head,
    element(0x18538067, info, tracks, cues, ...clusters.map(({ bytes }) => bytes)),
  ]);
}
