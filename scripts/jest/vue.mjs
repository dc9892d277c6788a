// Components for Jest: compiled as the bundler does it, styles left out, types taken off.
import { compileScript, parse } from '@vue/compiler-sfc';
import swc from '@swc/core';

const OPTIONS = {
  jsc: { target: 'es2022', parser: { syntax: 'typescript' } },
  module: { type: 'es6' },
  sourceMaps: 'inline',
};

export default {
  process(source, filename) {
    const { descriptor, errors } = parse(source, { filename });
    if (errors.length > 0) throw errors[0];
    const { content } = compileScript(descriptor, { id: filename, inlineTemplate: true });
    return swc.transformSync(content, { ...OPTIONS, filename: `${filename}.ts` });
  },
};
