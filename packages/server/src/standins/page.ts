/** What the pages of the stand-ins have in common. */
import type { Response } from 'express';
import { escapeHtml } from '@itinerary/core';

const STYLE = `body{margin:0;background:#eef2ee;color:#15241f;font:15px/1.45 system-ui,sans-serif}
header{padding:12px 20px;background:#15493b;color:#fff}h1{margin:0;font-size:20px}
main{display:grid;gap:16px;max-width:860px;margin:0 auto;padding:20px}
section{padding:14px 18px;border-top:3px solid #a8720a;background:#fff}h2{margin:0 0 8px;font-size:17px}
label{display:block;padding:3px 0}button,input[type=email]{min-height:34px;padding:4px 12px;font:inherit}
form{margin:8px 0}ol{margin:0;padding:0;list-style:none}li{padding:8px 0;border-bottom:1px solid #d5dcd6}
.soft{color:#4b5a54}a{color:#15493b}pre{white-space:pre-wrap;overflow-wrap:anywhere}
iframe{width:100%;min-height:520px;border:1px solid #d5dcd6}`;

/** @param sections HTML, escaped where it has to be */
export const page = (title: string, lead: string, sections: readonly string[]): string => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>${escapeHtml(title)}</title><style>${STYLE}</style></head>
<body><header><h1>${escapeHtml(title)}</h1>${escapeHtml(lead)}</header>
<main>${sections.map((one) => `<section>${one}</section>`).join('\n')}</main></body></html>`;

export function sendPage(response: Response, html: string): void {
  response.set(
    'Content-Security-Policy',
    "default-src 'none'; style-src 'unsafe-inline'; frame-src 'self'; form-action 'self'",
  );
  response.type('html').send(html);
}

/** @throws where the environment says no port */
export function portOf(name: string): number {
  const port = Number(process.env[name]);
  if (Number.isInteger(port) && port >= 1 && port <= 65_535) return port;
  throw new Error(`${name} is "${process.env[name] ?? ''}"; expected a whole number from 1 to 65535`);
}
