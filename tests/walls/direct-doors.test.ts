/** @jest-environment node */
import { transformSync } from '@babel/core';
import path from 'node:path';

const plugin = path.resolve('scripts/metro/direct-doors');
const rewrite = (code: string, file: string): string =>
  transformSync(code, {
    filename: path.resolve(file),
    babelrc: false,
    configFile: false,
    parserOpts: { plugins: ['typescript'] },
    plugins: [plugin],
  })!.code!;

describe('imports through a door, in the build for the web', () => {
  it('lead to the files that hold what they name, by the names they have there', () => {
    const code = rewrite(
      "import { isInWork, listClocks as clocks, type Task } from '@/core/work';\nclocks(isInWork);",
      'src/client/probe.ts',
    );
    expect(code).toContain('import { isInWork } from "../core/work/in-work"');
    expect(code).toContain('import { listClocks as clocks } from "../core/work/clocks"');
    expect(code).not.toContain('core/work"');
    expect(code).not.toContain('Task');
  });

  it('go through what one module hands on of another', () => {
    expect(rewrite("import { toIsoClass } from '@/core/proof';\ntoIsoClass(1);", 'src/client/probe.ts')).toContain(
      'from "../core/scales/index"',
    );
  });

  it.each([
    ["import * as work from '@/core/work';\nwork;", '@/core/work'],
    ["import { useState } from 'react';\nuseState;", 'react'],
    ["import { writeCalendar } from '@/core/calendar';\nwriteCalendar;", '@/core/calendar'],
    ["import { nothingOfTheKind } from '@/core/work';\nnothingOfTheKind;", '@/core/work'],
  ])('stay as they are where there is no shorter way: %s', (code, source) => {
    expect(rewrite(code, 'src/client/probe.ts')).toMatch(new RegExp(`from ['"]${source}['"]`));
  });
});
