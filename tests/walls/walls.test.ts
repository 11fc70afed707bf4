/** @jest-environment node */
import { ESLint } from 'eslint';
import path from 'node:path';
import config from '../../eslint.config.js';

const CASES: [string, string, string, boolean][] = [
  [
    'core may not reach the server',
    'src/core/survey/probe.ts',
    "import { makeApp } from '@/server/app';\nmakeApp;",
    false,
  ],
  ['core may not use React', 'src/core/survey/probe.ts', "import React from 'react';\nReact;", false],
  ['core may not use Node', 'src/core/survey/probe.ts', "import fs from 'node:fs';\nfs;", false],
  [
    'core may not reach into a module',
    'src/core/survey/probe.ts',
    "import { toIsoClass } from '../proof/scales';\ntoIsoClass;",
    false,
  ],
  ['core may not read the clock', 'src/core/survey/probe.ts', 'export const t = Date.now();', false],
  ['core may not roll dice', 'src/core/survey/probe.ts', 'export const t = Math.random();', false],
  [
    'core may use its own doors',
    'src/core/survey/probe.ts',
    "import { toIsoClass } from '../proof';\nexport const x = toIsoClass(1);",
    true,
  ],
  [
    'the client may not reach the server',
    'src/client/ui/probe.ts',
    "import { makeApp } from '@/server/app';\nmakeApp;",
    false,
  ],
  [
    'the client may use core',
    'src/client/ui/probe.ts',
    "import { toIsoClass } from '@/core/proof';\nexport const x = toIsoClass(1);",
    true,
  ],
  [
    'the client may not reach into core',
    'src/client/ui/probe.ts',
    "import { toIsoClass } from '@/core/proof/scales';\ntoIsoClass;",
    false,
  ],
  [
    'a feature may not reach into another',
    'src/client/features/read/probe.ts',
    "import { Screen } from '@/client/features/piece-frame/screen';\nScreen;",
    false,
  ],
  ['routes may not reach core', 'src/app/probe.ts', "import { toIsoClass } from '@/core/proof';\ntoIsoClass;", false],
  [
    'the contract may not reach the client',
    'src/contract/probe.ts',
    "import { makeStore } from '@/client/store';\nmakeStore;",
    false,
  ],
  [
    'core may not speak',
    'src/core/proof/probe.ts',
    "import { explainProblem } from '@/words';\nexplainProblem;",
    false,
  ],
  [
    'words may use core',
    'src/words/en/probe.ts',
    "import { toIsoClass } from '@/core/proof';\nexport const x = toIsoClass(1);",
    true,
  ],
  [
    'words may not reach the client',
    'src/words/en/probe.ts',
    "import { makeStore } from '@/client/store';\nmakeStore;",
    false,
  ],
  [
    'nobody picks a language but the room',
    'src/client/ui/probe.ts',
    "import { explainProblem } from '@/words/en';\nexplainProblem;",
    false,
  ],
  ['letters are changed by one function', 'src/client/ui/probe.ts', "export const t = 'A'.toLowerCase();", false],
  [
    'nothing is read from a sentence',
    'src/core/proof/probe.ts',
    "export const cut = (step: { label: string }) => step.label.split(' on ')[0];",
    false,
  ],
  [
    'nobody else holds a chance of bleed against a limit',
    'src/core/systems/probe.ts',
    'export const must = (ground: { pBleed: number }) => ground.pBleed >= 0.15;',
    false,
  ],
  [
    'nobody else compares two treatments',
    'src/core/panel/probe.ts',
    'export const same = (a: { primer: string }, b: { primer: string }) => a.primer === b.primer;',
    false,
  ],
  [
    'nobody else reads when a film cures',
    'src/client/ui/probe.ts',
    'export const days = (film: { cureDays: number }) => film.cureDays;',
    false,
  ],
  [
    'nobody else decides what stops work',
    'src/core/work/probe.ts',
    "export const stops = (hazard: { gate?: string }) => hazard.gate === 'certified_practice';",
    false,
  ],
  [
    'the policy may',
    'src/core/proof/probe.ts',
    'export const must = (own: { bleeds: number }) => own.bleeds >= 0.15;',
    true,
  ],
  [
    'codes may be read',
    'src/core/proof/probe.ts',
    "export const cut = (step: { code: string }) => step.code.split('-')[0];",
    true,
  ],
  [
    'oracles are for tests',
    'src/core/proof/probe.ts',
    "import { CROSS_CUT_CASES } from '../../../oracles/cross-cut-classes';\nCROSS_CUT_CASES;",
    false,
  ],
];

const WALL_RULES = /no-restricted-(paths|imports|properties|syntax|globals)$/;

describe('the walls between rooms', () => {
  // The configuration is handed over ready-made: Jest's sandbox has no dynamic import to load it with.
  const eslint = new ESLint({ cwd: path.resolve('.'), overrideConfigFile: true, overrideConfig: config });

  it.each(CASES)(
    '%s',
    async (_name, filePath, code, allowed) => {
      const [result] = await eslint.lintText(code, { filePath: path.resolve(filePath) });
      const broken = result!.messages.filter(({ ruleId }) => WALL_RULES.test(ruleId ?? ''));
      expect(broken.length === 0).toBe(allowed);
    },
    60_000,
  );
});
