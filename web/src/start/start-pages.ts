import type { starting } from '@yew-basin/core'

/** A question of the guided start. */
export interface StartPage {
  readonly id:
    'kind' | 'tank' | 'lives' | 'drains' | 'sump' | 'behind' | 'lift' | 'run' | 'pump' | 'done'
  /** Which tank it is about. */
  readonly tank: number
  readonly heading: string
  /** Why it is asked. */
  readonly why: string
}

const page = (id: StartPage['id'], heading: string, why: string, tank = 0): StartPage => ({
  id,
  heading,
  why,
  tank,
})

const KIND = page(
  'kind',
  'What are you building?',
  'It says which way the water takes, and so what is asked next.',
)
const LIVES = page(
  'lives',
  'What lives there?',
  'It says how often the water should pass the sump in an hour, and so which flow is wanted.',
)
const DRAINS = page(
  'drains',
  'How does the water leave?',
  'Each way wins something and costs something. It sizes the pipes and says what one blocked pipe does.',
)
const SUMP = page(
  'sump',
  'Which sump stands below?',
  'In a power cut water runs down into it: its room over the water is what keeps your floor dry.',
)
const BEHIND = page(
  'behind',
  'How deep are the chambers behind the wall?',
  'They are the sump of an all-in-one: their room takes what comes down when the pump stops.',
)
const LIFT = page(
  'lift',
  'How high must the water go?',
  'Every bit of height costs flow. Measure from the water the pump stands in up to where the pipe ends.',
)
const RUN = page(
  'run',
  'How much pipe is there?',
  'Water rubs along it. All of it together, with the way across; four elbows are taken with it.',
)
const PUMP = page(
  'pump',
  'Which pump?',
  'What is on its box is what it gives without any height or pipe; what it gives here is worked out.',
)
const DONE = page('done', 'There it is', '')

const tankPage = (tank: number, of: number): StartPage =>
  page(
    'tank',
    of === 1 ? 'Which tank?' : `Tank ${tank + 1} of ${of}`,
    'Its water is what has to be turned over, and how high it stands is what the pump has to lift.',
    tank,
  )

/** The questions for a kind, in their order; what comes out last. */
export function questionsFor({ kind, tanks }: starting.StartAnswers): readonly StartPage[] {
  const all = tanks.map((_, i) => tankPage(i, tanks.length))
  if (kind === 'pump-only') return [KIND, LIFT, RUN, PUMP, DONE]
  if (kind === 'all-in-one') return [KIND, ...all, LIVES, BEHIND, PUMP, DONE]
  return [KIND, ...all, LIVES, DRAINS, SUMP, PUMP, DONE]
}
