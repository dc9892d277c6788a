/** Lint must fail where an arrow is broken: each of these lines is one that must not pass. */
import { describe, expect, test } from '@jest/globals';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ESLint } from 'eslint';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '../..');
const PROMISES = ['@typescript-eslint/no-floating-promises', '@typescript-eslint/no-misused-promises'];
/** Without what needs the types of everything: the lines stand in files that are not there. */
const eslint = new ESLint({
  cwd: ROOT,
  overrideConfig: [
    {
      files: ['**/*.ts', '**/*.vue'],
      languageOptions: { parserOptions: { project: null } },
      rules: Object.fromEntries(PROMISES.map((rule) => [rule, 'off'])),
    },
  ],
});

async function complaints(file: string, line: string): Promise<readonly string[]> {
  const code = file.endsWith('.vue')
    ? `<script setup lang="ts">\n${line}\n</script>\n<template><p /></template>\n`
    : `${line}\n`;
  const [result] = await eslint.lintText(code, { filePath: join(ROOT, file) });
  return (result?.messages ?? []).map(({ ruleId }) => ruleId ?? '').filter((rule) => /restricted/.test(rule));
}

const CORE = 'packages/core/src/calendar/x.ts';
const LEARNER = 'packages/web/src/learner/X.vue';

describe('lint refuses', () => {
  test.each([
    [CORE, "import { readFileSync } from 'node:fs';"],
    [CORE, "import { ref } from 'vue';"],
    [CORE, "import { parse } from 'culori';"],
    [CORE, "import { ROUTES } from '@itinerary/contract';"],
    [CORE, "import { x } from '../../../server/src/main.ts';"],
    [CORE, 'export const now = Date.now();'],
    [CORE, 'export const now = new Date();'],
    [CORE, "import { Temporal } from 'temporal-polyfill';\nexport const now = Temporal.Now.instant();"],
    [CORE, 'export const chance = Math.random();'],
    [CORE, "export * from './days.ts';"],
    ['packages/contract/src/x.ts', "import express from 'express';"],
    ['packages/cli/src/x.ts', "import { startServer } from '@itinerary/server';"],
    ['packages/server/src/usecases/x.ts', "import type { Request } from 'express';"],
    ['packages/server/src/http/x.ts', "import { x } from '@itinerary/web';"],
    ['packages/web/src/desk/x.ts', "import { startServer } from '@itinerary/server';"],
    ['packages/web/src/desk/x.ts', "import { x } from '../../../server/src/main.ts';"],
    [LEARNER, "import { planSections } from '@itinerary/core';"],
    [LEARNER, "import { ROUTES } from '@itinerary/contract';"],
    [LEARNER, "import { z } from 'zod';"],
    [LEARNER, "import X from '../setup/about/AboutStop.vue';"],
    ['packages/web/src/api/x.ts', "import { applyChange } from '@itinerary/core';"],
  ])('in %s: %s', async (file, line) => {
    expect(await complaints(file, line)).not.toEqual([]);
  });
});

describe('and takes', () => {
  test.each([
    [CORE, "import { z } from 'zod';\nexport const x = z.string();"],
    [CORE, "import { Temporal } from 'temporal-polyfill';\nexport const x = Temporal.PlainDate;"],
    ['packages/core/src/look/x.ts', "import { parse } from 'culori';\nexport const x = parse;"],
    [LEARNER, "import type { CourseView } from '@itinerary/core';\ndefineProps<{ x: CourseView }>();"],
    ['packages/server/src/http/x.ts', "import express from 'express';\nexport const x = express;"],
  ])('in %s: %s', async (file, line) => {
    expect(await complaints(file, line)).toEqual([]);
  });
});

test.each([
  'packages/core/src/index.ts',
  'packages/server/src/main.ts',
  'packages/web/src/main.ts',
  'e2e/life/x.spec.ts',
])('what is begun in %s is waited for', async (file) => {
  const { rules } = (await new ESLint({ cwd: ROOT }).calculateConfigForFile(join(ROOT, file))) as {
    rules: Record<string, readonly unknown[]>;
  };
  expect(PROMISES.map((rule) => rules[rule]?.[0])).toEqual([2, 2]);
});
