import { compileScript, compileTemplate, parse } from '@vue/compiler-sfc'
import { transformSync } from '@swc/core'

/** Turns a component's script and template into one module; its styles are for the eye. */
export function process(source, filename) {
  const { descriptor, errors } = parse(source, { filename })
  if (errors.length > 0) throw errors[0]
  const id = filename.replace(/\W/g, '')
  // A component may be a template alone.
  const script =
    descriptor.script || descriptor.scriptSetup
      ? compileScript(descriptor, { id, inlineTemplate: true, genDefaultAs: 'component' })
      : { content: 'const component = {}' }
  const template = descriptor.scriptSetup
    ? ''
    : `${compileTemplate({ id, filename, source: descriptor.template.content }).code}\ncomponent.render = render`
  const { code, map } = transformSync(
    `${script.content}\n${template}\nexport default component\n`,
    {
      filename: `${filename}.ts`,
      jsc: { parser: { syntax: 'typescript' }, target: 'es2022' },
      module: { type: 'es6' },
      sourceMaps: true,
    },
  )
  return { code, map }
}

export default { process }
