import {
  dutyCurves,
  fromSi,
  QUANTITIES,
  type BasinDesign,
  type DutyCurves,
  type HeadPoint,
  type UnitFamily,
  type Solved,
} from '@yew-basin/core'

/** Colours of the theme in use, by the name of their token. */
export type Palette = (token: string) => string

type ToPair = (point: HeadPoint) => number[]

/** What the chart library is given: the pump's curve against the system's, with the duty point. */
export function dutyChart(
  design: BasinDesign,
  solved: Solved<'line'>,
  family: UnitFamily,
  colour: Palette,
): Record<string, unknown> {
  const flow = QUANTITIES.flow.shown[family]
  const head = QUANTITIES.head.shown[family]
  const pair: ToPair = ({ flowM3PerS, headM }) => [fromSi(flow, flowM3PerS), fromSi(head, headM)]
  const curves = dutyCurves(design, solved.lineId)
  return {
    animation: false,
    textStyle: { fontFamily: 'Source Sans 3 Variable, sans-serif' },
    grid: { left: 40, right: 14, top: 26, bottom: 40 },
    ...axes(flow.label, head.label, colour),
    series: [...lines(curves, solved, pair, colour), ...points(curves, solved, pair, colour)],
  }
}

/** Flow to the right, head upwards, named and in the unit in use. */
export function axes(flowLabel: string, headLabel: string, colour: Palette) {
  return {
    xAxis: { ...axis(colour), name: `flow, ${flowLabel}`, nameLocation: 'middle', nameGap: 24 },
    yAxis: {
      ...axis(colour),
      name: `head, ${headLabel}`,
      nameLocation: 'end',
      nameGap: 10,
      nameTextStyle: {
        color: colour('--ink-soft'),
        fontSize: 12,
        align: 'left',
        padding: [0, 0, 0, -28],
      },
    },
  }
}

export function axis(colour: Palette) {
  const ink = colour('--ink-soft')
  return {
    type: 'value',
    min: 0,
    splitNumber: 4,
    nameTextStyle: { color: ink, fontSize: 12 },
    axisLabel: {
      color: ink,
      fontSize: 12,
      formatter: (at: number) => String(at).replace(/\B(?=(\d{3})+$)/g, '\u202f'),
    },
    splitLine: { lineStyle: { color: colour('--rule'), opacity: 0.6 } },
    axisLine: { show: true, lineStyle: { color: ink } },
  }
}

function lines(curves: DutyCurves, solved: Solved<'line'>, pair: ToPair, colour: Palette) {
  const heads = [...curves.pump, ...(curves.fullSpeed ?? [])].map((point) => point.headM)
  const topM = 1.15 * Math.max(...heads, solved.liftM)
  const line = (
    name: string,
    along: readonly HeadPoint[],
    {
      color,
      width,
      type = 'solid',
    }: { readonly color: string; readonly width: number; readonly type?: string },
  ) => ({
    name,
    type: 'line',
    data: along.filter((point) => point.headM >= 0 && point.headM <= topM).map(pair),
    showSymbol: false,
    silent: true,
    lineStyle: { color, width, type },
    itemStyle: { color },
  })
  const water = colour('--water-ink')
  return [
    line('system, least losses', curves.systemLow, { color: water, width: 1, type: 'dotted' }),
    line('system, most losses', curves.systemHigh, { color: water, width: 1, type: 'dotted' }),
    ...(curves.fullSpeed
      ? [
          line('pump at full speed', curves.fullSpeed, {
            color: colour('--glass'),
            width: 1.4,
            type: 'dashed',
          }),
        ]
      : []),
    line('system', curves.system, { color: water, width: 2.2 }),
    line('pump', curves.pump, { color: colour('--needle'), width: 2.2 }),
  ]
}

function points(curves: DutyCurves, solved: Solved<'line'>, pair: ToPair, colour: Palette) {
  const printed = {
    name: 'printed points',
    type: 'scatter',
    data: curves.printed.map(pair),
    symbolSize: 5,
    itemStyle: { color: colour('--needle') },
    silent: true,
  }
  if (solved.pump.flowM3PerS <= 0) return [printed]
  const duty = {
    name: 'duty point',
    type: 'scatter',
    data: [pair(solved.pump)],
    symbolSize: 13,
    itemStyle: { color: colour('--sheet'), borderColor: colour('--aril-mark'), borderWidth: 3 },
    silent: true,
    z: 5,
  }
  return [printed, duty]
}
