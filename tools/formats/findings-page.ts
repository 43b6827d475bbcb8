import { FINDING_CODES, RULES } from '@yew-basin/core/lab'

const SEVERITY_WORDS = { stop: 'stop', watch: 'watch', fine: 'fine' } as const

/** Every code that can be found of a design: where, how severe, and when, from the rules themselves. */
export function findingsPage(): string {
  const rows = FINDING_CODES.flatMap((code) =>
    RULES.filter((rule) => rule.code === code).map(({ station, severities, holds }) => {
      const where = station === 'own' ? 'where it is designed' : station
      return `| \`${code}\` | ${where} | ${severities.map((severity) => SEVERITY_WORDS[severity]).join(', ')} | ${holds} |`
    }),
  )
  return [
    '# Findings',
    '',
    'Every code that the solve command and the screen can find, in the order of the water’s path. Written by `npm run formats` from the rules.',
    '',
    '| Code | Stop | Severity | Holds when |',
    '| --- | --- | --- | --- |',
    ...rows,
    '',
  ].join('\n')
}
