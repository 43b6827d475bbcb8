import type { explaining } from '@yew-basin/core'

/** How a shape is drawn; shapes are drawn in their order, words on top. */
export type ShapeKind = 'water' | 'moves' | 'wall' | 'pipe' | 'in-pipe' | 'air' | 'thin' | 'arrow'
export interface IdeaDrawing {
  readonly shapes: readonly (readonly [kind: ShapeKind, d: string])[]
  readonly words: readonly (readonly [x: number, y: number, text: string])[]
}
/** Every drawing is so large, in its own units. */
export const DRAWING_SIZE = { width: 320, height: 150 } as const

/** One drawing for each idea. */
export const IDEA_DRAWINGS: Readonly<Record<explaining.IdeaName, IdeaDrawing>> = {
  head: {
    shapes: [
      ['water', 'M12 116H92V142H12Z M208 62H308V96H208Z'],
      ['wall', 'M12 104V143H92V104 M208 50V97H308V50'],
      ['pipe', 'M34 126V44H226V58'],
      ['in-pipe', 'M34 126V44H226V58'],
      ['wall', 'M25 130a9 9 0 1 0 18 0a9 9 0 1 0-18 0Z'],
      ['thin', 'M92 116H116 M112 62H208 M112 116V62 M112 62V16 M106 16H118'],
    ],
    words: [
      [120, 93, 'the height it lifts'],
      [120, 24, 'and what pipe and fittings take'],
    ],
  },
  weir: {
    shapes: [
      [
        'water',
        'M8 60H106Q120 61 122 78V142H112V74Q110 68 100 68V142H8Z M168 42H266Q284 44 288 66V142H268V78Q266 68 260 68V142H168Z',
      ],
      ['wall', 'M8 34V143H102V69 M168 34V143H262V69'],
      ['thin', 'M8 60H80 M80 68H102 M168 42H240 M240 68H262 M90 50V60 M90 68V78 M240 42V68'],
    ],
    words: [
      [14, 96, 'little flow,'],
      [14, 112, 'thin sheet'],
      [174, 96, 'much flow,'],
      [174, 112, 'thick sheet'],
    ],
  },
  siphon: {
    shapes: [
      ['water', 'M8 24H102V52H8Z M8 128H102V143H8Z M188 24H282V52H188Z M188 128H282V143H188Z'],
      ['wall', 'M8 12V53H102V12 M188 12V53H282V12'],
      ['pipe', 'M34 40V134 M214 40V134'],
      ['in-pipe', 'M34 40V134'],
      ['air', 'M214 36V134'],
      ['moves', 'M210 44H211.5V134H210Z M216.5 44H218V134H216.5Z'],
      ['thin', 'M52 24H66 M52 128H66 M60 24V128'],
    ],
    words: [
      [66, 84, 'full of water: the'],
      [66, 99, 'whole fall pulls'],
      [226, 84, 'air in it: its'],
      [226, 99, 'wall is wet'],
    ],
  },
  'air-in-pipe': {
    shapes: [
      ['water', 'M8 68H92V114H8Z M116 54H200V114H116Z M224 36H308V114H224Z'],
      ['wall', 'M8 28V115H92V28 M116 28V115H200V28 M224 28V115H308V28'],
      ['pipe', 'M50 74V122 M158 74V122 M266 74V122'],
      ['air', 'M50 68V122 M158 68V122'],
      [
        'moves',
        'M46 74H47V122H46Z M53 74H54V122H53Z M154 70H156.5V122H154Z M159.5 70H162V122H159.5Z',
      ],
      ['in-pipe', 'M266 68V122'],
      ['thin', 'M8 28H308'],
    ],
    words: [
      [8, 22, 'the rim'],
      [14, 140, 'runs down its wall'],
      [124, 140, 'takes more'],
      [226, 140, 'full: takes all'],
    ],
  },
  'comes-down': {
    shapes: [
      ['water', 'M30 40H150V72H30Z M160 118H300V142H160Z'],
      ['moves', 'M30 26H150V40H30Z M160 96H300V118H160Z'],
      ['wall', 'M30 14V73H150V40 M160 82V143H300V82'],
      ['arrow', 'M166 34Q226 34 230 84'],
      ['thin', 'M160 118H300'],
    ],
    words: [
      [38, 64, 'stays in the tank'],
      [38, 37, 'comes down'],
      [170, 111, 'has to fit in here'],
      [170, 136, 'stands there already'],
    ],
  },
  'walls-hold': {
    shapes: [
      ['water', 'M10 58H104V142H10Z M110 70H204V142H110Z M210 100H310V142H210Z'],
      ['wall', 'M10 30V143H310V30 M107 143V62 M207 143V74'],
      ['thin', 'M210 84H310 M210 118H310'],
      ['arrow', 'M258 98V76 M258 102V126'],
    ],
    words: [
      [22, 90, 'held by'],
      [22, 105, 'its wall'],
      [122, 100, 'held by'],
      [122, 115, 'its wall'],
      [214, 66, 'rises and falls'],
    ],
  },
  'lines-share': {
    shapes: [
      ['pipe', 'M26 126V40H250 M110 40V92 M180 40V92 M250 38V92'],
      ['in-pipe', 'M26 126V40H250 M110 40V92 M180 40V92 M250 38V92'],
      ['wall', 'M17 130a9 9 0 1 0 18 0a9 9 0 1 0-18 0Z M103 68H117 M103 62H117'],
      ['arrow', 'M180 100V124 M110 100V108 M250 100V114'],
    ],
    words: [
      [84, 140, 'nearly shut'],
      [158, 140, 'takes most'],
      [236, 140, 'the rest'],
      [42, 26, 'what the pump gives is shared'],
    ],
  },
  'true-to-scale': {
    shapes: [
      ['pipe', 'M16 40H96 M112 56H140'],
      ['in-pipe', 'M16 40H96 M112 56H140'],
      ['wall', 'M142 30V142 M212 30V142 M230 142V60H300V142'],
      ['thin', 'M104 40V56 M98 40H110 M98 56H110 M212 100H230 M212 94V106 M230 94V106'],
    ],
    words: [
      [14, 84, 'ends that miss'],
      [14, 99, 'do not meet later'],
      [236, 104, 'a hand'],
      [236, 119, 'needs room'],
    ],
  },
  'light-and-time': {
    shapes: [
      ['water', 'M30 22H290V50H30Z M30 92H290V120H30Z'],
      ['wall', 'M30 22H290 M30 50H290 M30 92H290 M30 120H290'],
      ['thin', 'M60 36H260 M60 38H260 M60 106H260 M60 108H260'],
      ['arrow', 'M36 30H66 M36 100H140 M36 114H140 M160 100H264 M160 114H264'],
    ],
    words: [
      [30, 68, 'slow: long by the lamp'],
      [30, 138, 'fast: a short time, but often'],
    ],
  },
  warmth: {
    shapes: [
      ['water', 'M90 52H230V132H90Z'],
      ['wall', 'M90 40V133H230V40'],
      ['arrow', 'M94 100H56 M226 100H264 M130 48V18 M190 48V18 M160 16V62'],
    ],
    words: [
      [8, 90, 'through'],
      [8, 120, 'the panels'],
      [200, 22, 'with what evaporates'],
      [100, 84, 'pumps and lights'],
      [100, 99, 'give some back'],
    ],
  },
}
