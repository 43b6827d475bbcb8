import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, LegendComponent, TitleComponent } from 'echarts/components'
import { init, use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'

use([LineChart, ScatterChart, GridComponent, LegendComponent, TitleComponent, SVGRenderer])

type Point = readonly [number, number]

export interface Plot {
  readonly title: string
  readonly across: string
  readonly up: string
  /** Dots: what is known. Lines: what the engine gives. */
  readonly series: readonly {
    readonly name: string
    readonly kind: 'dots' | 'line' | 'dashes'
    readonly colour: string
    readonly points: readonly Point[]
  }[]
}

const INK = '#22302b'
const SIZE = { width: 620, height: 400 }

/** A plot as the text of an SVG. */
export function plotSvg({ title, across, up, series }: Plot): string {
  const chart = init(null, null, { renderer: 'svg', ssr: true, ...SIZE })
  const axis = (name: string) => ({
    type: 'value' as const,
    name,
    nameLocation: 'middle' as const,
    nameGap: 32,
    axisLine: { lineStyle: { color: INK } },
  })
  chart.setOption({
    animation: false,
    backgroundColor: '#fffefb',
    textStyle: { color: INK, fontFamily: 'sans-serif' },
    title: { text: title, textStyle: { fontSize: 14, color: INK }, left: 12, top: 8 },
    legend: { top: 34, left: 8, itemHeight: 9, itemGap: 22, padding: [5, 12] },
    grid: { left: 62, right: 24, top: 72, bottom: 52 },
    xAxis: axis(across),
    yAxis: { ...axis(up), nameGap: 42 },
    series: series.map(({ name, kind, colour, points }) => ({
      name,
      data: points.map((point) => [...point]),
      ...(kind === 'dots'
        ? { type: 'scatter' as const, symbolSize: 7, itemStyle: { color: colour } }
        : {
            type: 'line' as const,
            showSymbol: false,
            itemStyle: { color: colour },
            lineStyle: { width: 2, color: colour, type: kind === 'line' ? 'solid' : 'dashed' },
          }),
    })),
  })
  const svg = chart.renderToSVGString()
  chart.dispose()
  return svg
}
