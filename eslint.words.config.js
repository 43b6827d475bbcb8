import tseslint from 'typescript-eslint'

const message =
  'A name is a value of a sentence, never part of its text: sentence(‘{tank} is full’, { tank: tank.name }).'
/** A template in a sentence's text, by itself or chosen between, and a text put together. */
const TEXTS = [
  'TemplateLiteral[expressions.length>0]',
  'ConditionalExpression TemplateLiteral[expressions.length>0]',
  'BinaryExpression',
]

// The core's sentences: words apart from judgement. Everything else of it oxlint reads (.oxlintrc.json).
export default [
  { ignores: ['**/dist/**'] },
  {
    files: ['core/src/**/*.ts'],
    languageOptions: { parser: tseslint.parser },
    rules: {
      'no-restricted-syntax': [
        'error',
        ...TEXTS.map((text) => ({
          selector: `CallExpression[callee.name='sentence'] > ${text}`,
          message,
        })),
      ],
    },
  },
]
