/** Two thousand hostile texts, cleaned as the server cleans what is written, and put into a page that guards nothing. */
import { expect, test } from '@playwright/test';
import { sanitiseText } from '../../packages/server/src/text/rich-text.ts';

const COUNT = 2000;
const SEED = 20270216;
const HURT = 'window.hurt=(window.hurt||0)+1';
const ELSEWHERE = 'http://elsewhere.example';

/** The same numbers in every run (a linear congruential generator). */
function numbers(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    return state / 4_294_967_296;
  };
}

const EVENTS = [
  'onerror',
  'onload',
  'onclick',
  'onmouseover',
  'onfocus',
  'ontoggle',
  'onanimationstart',
  'onbegin',
];
const ELEMENTS = [
  'img',
  'p',
  'a',
  'svg',
  'video',
  'details',
  'input',
  'body',
  'iframe',
  'math',
  'table',
  'b',
  'marquee',
];
const ADDRESSES = [
  `javascript:${HURT}`,
  `JaVaScRiPt:${HURT}`,
  `java\tscript:${HURT}`,
  `java&#10;script:${HURT}`,
  `&#106;avascript:${HURT}`,
  ` \u0001javascript:${HURT}`,
  `data:text/html,<script>${HURT}</script>`,
  `data:text/html;base64,PHNjcmlwdD5odXJ0KCk8L3NjcmlwdD4=`,
  `data:image/svg+xml,<svg xmlns='http://www.w3.org/2000/svg' onload='${HURT}'/>`,
  `vbscript:${HURT}`,
  `//elsewhere.example/x.js`,
];

/** Kinds of harm, each with what chance puts into it. */
type Make = (pick: <T>(list: readonly T[]) => T) => string;
const HARM: readonly Make[] = [
  () => `<script>${HURT}</script>`,
  () => `<script src="${ELSEWHERE}/x.js"></script>`,
  () => `<scr<script>ipt>${HURT}</scr</script>ipt>`,
  (pick) => `<${pick(ELEMENTS)} ${pick(EVENTS)}="${HURT}" src=x autofocus tabindex=1 open>words`,
  (pick) => `<${pick(ELEMENTS)}/${pick(EVENTS)}=${HURT}//src=x>`,
  (pick) => `<a href="${pick(ADDRESSES)}">press</a>`,
  (pick) => `<img src='${pick(ADDRESSES)}'>`,
  (pick) => `<iframe src="${pick(ADDRESSES)}" srcdoc="<script>parent.${HURT}</script>"></iframe>`,
  (pick) => `<form action="${pick(ADDRESSES)}"><button formaction="${pick(ADDRESSES)}">send</button></form>`,
  (pick) => `<svg><${pick(['animate', 'set'])} onbegin="${HURT}" attributeName="x" dur="1s"/></svg>`,
  (pick) => `<svg><a xlink:href="${pick(ADDRESSES)}"><text y="9">x</text></a><script>${HURT}</script></svg>`,
  () => `<svg><style><img src=x onerror="${HURT}"></style></svg>`,
  () =>
    `<math><mtext><table><mglyph><style><!--</style><img title="--&gt;&lt;img src=1 onerror=${HURT}&gt;">`,
  () =>
    `<math href="javascript:${HURT}"><maction actiontype="statusline" xlink:href="javascript:${HURT}">x</maction></math>`,
  () => `<style>@import "${ELSEWHERE}/x.css";body{background:url(${ELSEWHERE}/x.png)}</style>`,
  () => `<p style="background:url(${ELSEWHERE}/x.png);position:fixed;inset:0">over everything</p>`,
  () =>
    `<link rel="stylesheet" href="${ELSEWHERE}/x.css"><meta http-equiv="refresh" content="0;url=javascript:${HURT}">`,
  () => `<base href="${ELSEWHERE}/"><object data="${ELSEWHERE}/x"></object><embed src="${ELSEWHERE}/x">`,
  () => `<noscript><p title="</noscript><img src=x onerror=${HURT}>"></noscript>`,
  () => `<template><img src=x onerror=${HURT}></template><textarea></textarea><img src=x onerror=${HURT}>`,
  () => `<!--><img src=x onerror=${HURT}>--><![CDATA[<img src=x onerror=${HURT}>]]>`,
  () => `<img """><script>${HURT}</script>">`,
  () => `<table background="javascript:${HURT}"><td background="${ELSEWHERE}/x.png">cell`,
  () => `<video poster="javascript:${HURT}"><source onerror="${HURT}" src=x></video>`,
  () => `<a href="https://ternpoint.example" target="_blank" onclick="${HURT}" ping="${ELSEWHERE}">press</a>`,
  () =>
    `<figure data-picture="x" onload="${HURT}"><img data-picture="../../x" src="${ELSEWHERE}/x.png"></figure>`,
  () => `<span data-tex="\\href{javascript:${HURT}}{x}" onclick="${HURT}">x</span>`,
];
const AROUND = [
  '<p>',
  '<ul><li>',
  '<table><tr><td>',
  '<blockquote>',
  '<h2>',
  '<div><div>',
  '<pre><code>',
  '<select>',
  '<title>',
  '',
  '</p></div>',
  '<!--',
  '<a href="#">',
];
const AFTER = [
  '',
  '</p>',
  '</li></ul>',
  '</td>',
  '</table></table>',
  '-->',
  '</h3>',
  '<',
  '"\'>',
  '\u0000',
  '</body></html>',
];

function hostile(): readonly string[] {
  const next = numbers(SEED);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)] as T;
  return Array.from({ length: COUNT }, (_, at) => {
    // Each kind comes up in turn, and one or two more beside it.
    const kinds = [HARM[at % HARM.length] as Make, ...(next() < 0.5 ? [pick(HARM)] : [])];
    const harm = kinds.map((make) => pick(AROUND) + make(pick) + pick(AFTER)).join('');
    return next() < 0.15 ? harm.slice(0, Math.ceil(harm.length * (0.5 + next() / 2))) : harm;
  });
}

/** Runs in the browser: what of a text could do harm, by the elements and attributes that its parser makes of it. */
function harmsIn(html: string): readonly string[] {
  const FORBIDDEN =
    'script,style,svg,iframe,object,embed,form,input,button,link,meta,base,template,video,audio,source,textarea,select,frame,noscript,details,marquee,maction,mglyph,title,body > body';
  const page = new DOMParser().parseFromString(html, 'text/html');
  const found: string[] = [...page.querySelectorAll(FORBIDDEN)].map((element) => element.localName);
  for (const element of page.querySelectorAll('*')) {
    for (const { name, value } of element.attributes) {
      if (/^(on|style$|srcdoc$|ping$|background$|formaction$|id$|name$)/.test(name)) found.push(name);
      const leads = /^(src|href|xlink:href|action|data|poster)$/.test(name);
      if (leads && !/^(https?:\/\/(?!elsewhere)|mailto:|#)/.test(value)) found.push(`${name}=${value}`);
    }
  }
  return found;
}

test('two thousand hostile texts come out harmless', async ({ page }) => {
  const texts = hostile();
  expect(new Set(texts).size).toBeGreaterThan(COUNT / 2);
  const asked: string[] = [];
  // A page of its own, with no policy that would stop anything.
  await page.route('**/*', async (route) => {
    const url = route.request().url();
    if (url === 'http://unguarded.example/')
      await route.fulfill({ contentType: 'text/html', body: '<!doctype html><title>x</title><body></body>' });
    else {
      asked.push(url);
      await route.abort();
    }
  });
  await page.goto('http://unguarded.example/');

  // The check can fail: nearly all of them do harm as they came.
  const before = await page.evaluate(
    ([all, check]) => {
      const harms = new Function(`return (${check})`)() as (html: string) => readonly string[];
      return all.filter((html) => harms(html).length > 0).length;
    },
    [texts, harmsIn.toString()] as const,
  );
  expect(before).toBeGreaterThan(COUNT * 0.9);
  const control = await page.evaluate(async (html) => {
    const told = window as unknown as { hurt?: number };
    document.body.innerHTML = html;
    // However busy the machine is: what is told is waited for, and a check that cannot tell runs out of its time.
    while (told.hurt === undefined) await new Promise((done) => setTimeout(done, 20));
    return told.hurt;
  }, `<img src=x onerror="${HURT}">`);
  expect(control).toBe(1);

  const cleaned = texts.map(sanitiseText);
  asked.length = 0;
  const after = await page.evaluate(
    async ([all, check]) => {
      const harms = new Function(`return (${check})`)() as (html: string) => readonly string[];
      const told = window as unknown as { hurt?: number };
      told.hurt = 0;
      const found = all.flatMap((html, at) => harms(html).map((harm) => `${at}: ${harm} in ${html}`));
      for (const html of all) {
        const box = document.createElement('div');
        box.innerHTML = html;
        document.body.replaceChildren(box);
        // Whatever can be pressed is pressed.
        for (const element of box.querySelectorAll<HTMLElement>('*')) {
          element.addEventListener('click', (event) => event.preventDefault());
          element.dispatchEvent(new MouseEvent('mouseover', { bubbles: true }));
          if (!element.closest('a')) element.click?.();
        }
      }
      // A picture of our own that fails last: by then every one before it has failed and said what it had to say.
      await new Promise((done) => {
        const last = document.createElement('img');
        last.addEventListener('error', done);
        last.src = 'http://unguarded.example/the-last';
        document.body.append(last);
      });
      await new Promise((done) => setTimeout(done, 300));
      return { found, hurt: told.hurt };
    },
    [cleaned, harmsIn.toString()] as const,
  );
  expect(after.found).toEqual([]);
  expect(after.hurt).toBe(0);
  expect(asked).toEqual(['http://unguarded.example/the-last']);
  // Clean is at rest: what was cleaned once stays as it is.
  expect(cleaned.map(sanitiseText)).toEqual(cleaned);
});
