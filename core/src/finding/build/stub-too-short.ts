import { sentence } from '../../quantity/index.ts'
import type { CutCase } from '../case/build-case.ts'
import { factIf, rule } from '../rule.ts'

/** Two fittings stand nearer than their sockets let them. */
export const stubTooShort = rule({
  code: 'stub-too-short',
  station: 'own',
  severities: ['stop'],
  holds:
    'Two fittings stand so near that the pipe between them does not fill both sockets, or a spigot is not home in its socket.',
  condition: ({ cut }: CutCase) =>
    factIf((cut.verdict === 'too-short-to-glue' || cut.verdict === 'spigot-off') && cut),
  title: ({ route }, { mark, verdict }) =>
    verdict === 'spigot-off'
      ? sentence('{name}: At {mark} a spigot does not end in its socket', {
          name: route.name,
          mark,
        })
      : sentence('{name}: Piece {mark} is too short to glue', { name: route.name, mark }),
  reason: (_, { cutM, leastM, verdict, centreToCentreM }) =>
    verdict === 'spigot-off'
      ? sentence(
          'Its two fittings are drawn {drawn} from middle to middle; home, they are {home}.',
          {
            drawn: ['length', centreToCentreM],
            home: ['length', centreToCentreM - cutM],
          },
        )
      : cutM > 0
        ? sentence(
            'It would be {cut} long; both sockets take {least}, even with the fittings face to face.',
            { cut: ['length', cutM], least: ['length', leastM] },
          )
        : centreToCentreM === 0
          ? sentence(
              'Its two fittings are drawn at one place: they and the pipe in their sockets need {need} from middle to middle.',
              { need: ['length', leastM - cutM] },
            )
          : sentence(
              'Its two fittings are drawn {drawn} from middle to middle: they and the pipe in their sockets need {need}.',
              {
                drawn: ['length', centreToCentreM],
                need: ['length', centreToCentreM + leastM - cutM],
              },
            ),
  where: (_, { pieceIds, between }) => ({ pieceId: pieceIds[0] ?? between[1] }),
})
