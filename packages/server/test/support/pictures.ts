/** Pictures for tests: honest ones, and those that mean harm. Made here byte by byte. */
import { deflateSync } from 'node:zlib';
import sharp from 'sharp';

const CRC = Array.from({ length: 256 }, (_, n) => {
  let value = n;
  for (let bit = 0; bit < 8; bit += 1) value = value & 1 ? 0xedb88320 ^ (value >>> 1) : value >>> 1;
  return value >>> 0;
});

function crc(bytes: Buffer): number {
  let value = 0xffffffff;
  for (const byte of bytes) value = (CRC[(value ^ byte) & 0xff] as number) ^ (value >>> 8);
  return (value ^ 0xffffffff) >>> 0;
}

function chunk(name: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(name, 'ascii'), data]);
  const size = Buffer.alloc(4);
  size.writeUInt32BE(data.length);
  const sum = Buffer.alloc(4);
  sum.writeUInt32BE(crc(body));
  return Buffer.concat([size, body, sum]);
}

const SIGNATURE = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);

/** A grey PNG that says how large it is; small on the line, however large it unpacks. */
export function png(width: number, height: number, more: readonly Buffer[] = []): Buffer {
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head[8] = 1;
  const row = Buffer.alloc(1 + Math.ceil(width / 8));
  const rows = Math.min(height, 64);
  const data = deflateSync(Buffer.concat(Array.from({ length: rows }, () => row)), { level: 9 });
  return Buffer.concat([
    SIGNATURE,
    chunk('IHDR', head),
    ...more,
    chunk('IDAT', data),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

export function textChunk(words: string): Buffer {
  return chunk('tEXt', Buffer.from(`Comment\0${words}`, 'latin1'));
}

/** A photograph's worth of colours, so that it can be cropped and told apart. */
export async function photo(width: number, height: number): Promise<Buffer> {
  return sharp({ create: { width, height, channels: 3, background: '#1f6b66' } })
    .composite([
      {
        input: { create: { width: Math.ceil(width / 2), height, channels: 3, background: '#f2dcc0' } },
        left: 0,
        top: 0,
      },
    ])
    .png()
    .toBuffer();
}
