import { ValidateNested } from 'class-validator'
import type {
  DoseTarget,
  Feed,
  FeedForm,
  LoadClass,
  SkimmerSchool,
  TreatmentPlan,
} from '@yew-basin/core'
import { COUNTS, LIMITS } from './limits.ts'
import { Id, IdOrNull, ByRule, ListOf, OneOf, Text, Within, WithinOrNull } from './rules.ts'
import { FEED_FORMS, LOAD_CLASS_WORDS } from './way-words.ts'
import { Nested } from '../check/nested.ts'

/** A food as the keeper gives it. */
export class FeedDocument implements Feed {
  @Id('Names the food in this design.')
  id!: string

  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string

  @OneOf(FEED_FORMS, 'Frozen, dry or in sheets.')
  form!: FeedForm

  @Within(LIMITS.perDay, 'Cubes, pinches or sheets a day.')
  perDay!: number

  @WithinOrNull(LIMITS.perDay, 'The most of them, where days differ.')
  @ByRule('a range', (most, owner) =>
    most === null || (most as number) >= (owner as FeedDocument).perDay
      ? null
      : 'must be no less than the least a day',
  )
  mostPerDay!: number | null

  @Within(LIMITS.feedMass, 'Of one of them, as it is given, kg.')
  massKg!: number
}

/** A dose that is quoted for an organism. */
export class DoseTargetDocument implements DoseTarget {
  @Id('Names the target in this design.')
  id!: string

  @Text(COUNTS.nameLength, 'The organism.')
  organism!: string

  @Within(LIMITS.dose, 'Least dose quoted, J/m².')
  leastJPerM2!: number

  @Within(LIMITS.dose, 'Most dose quoted, J/m².')
  @ByRule('a range', (most, owner) =>
    (most as number) >= (owner as DoseTargetDocument).leastJPerM2
      ? null
      : 'must be no less than the least dose',
  )
  mostJPerM2!: number

  @WithinOrNull(LIMITS.doubling, 'In which its number doubles in open water, s.')
  doublingS!: number | null

  @Text(COUNTS.noteLength, 'Where the number comes from.', 0)
  source!: string
}

/** What the water has to be cleaned of, and how the keeper judges what cleans it. */
export class TreatmentDocument implements TreatmentPlan {
  @ListOf(0, COUNTS.feeds, 'What is fed in a day.')
  @Nested(() => FeedDocument)
  @ValidateNested({ each: true })
  feeds!: FeedDocument[]

  @OneOf(LOAD_CLASS_WORDS, 'What lives there, as the keeper sees it.')
  stock!: LoadClass

  @Within(LIMITS.otherShare, 'Share of the load that other filtration takes.')
  otherShare!: number

  @OneOf(['match', 'oversize'], 'The school in force for skimmers.')
  school!: SkimmerSchool

  @Within(
    LIMITS.oversize,
    'Of the school that oversizes: rated for at least so many times the water.',
  )
  oversizeFrom!: number

  @Within(LIMITS.oversize, 'Of the same: and for no more than so many times.')
  @ByRule('a range', (most, owner) =>
    (most as number) >= (owner as TreatmentDocument).oversizeFrom
      ? null
      : 'must be no less than the factor it begins with',
  )
  oversizeTo!: number

  @ListOf(0, COUNTS.targets, 'Doses that are quoted.')
  @Nested(() => DoseTargetDocument)
  @ValidateNested({ each: true })
  targets!: DoseTargetDocument[]

  @IdOrNull('The target the sterilizer is for.')
  @ByRule('a target of the table', (id, owner) => targetFault(id, owner as TreatmentDocument))
  targetId!: string | null
}

function targetFault(id: unknown, { targets }: TreatmentDocument): string | null {
  if (id === null || !Array.isArray(targets)) return null
  return targets.some((target) => target?.id === id) ? null : 'must name a target of the table'
}
