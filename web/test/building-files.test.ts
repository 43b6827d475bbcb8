import { describe, expect, test } from '@jest/globals'
import { building, solveBasin } from '@yew-basin/core'
import DxfParser from 'dxf-parser'
import { cutsCsv } from '../src/building/cuts-csv.ts'
import { listCsv, readListCsv } from '../src/building/list-csv.ts'
import { templateDxf, templateOf, templatePages, templateSvg } from '../src/building/template.ts'
import { aDesign } from './a-design.ts'

const design = aDesign('up 200 mm, union, up 1 m, elbow, left 300 mm, gate')
const sheet = building.sheetOf(design, solveBasin(design))
const lines = sheet.list.map((line) => ({ line, have: null, price: null, toBuy: line.count }))

describe('the list as CSV', () => {
  test('has a line each, and comes back with what was filled in', () => {
    const csv = listCsv(lines)
    expect(csv.split('\r\n')).toHaveLength(lines.length + 1)
    const [first] = lines
    const filled = listCsv(
      lines.map((own) => (own === first ? { ...own, have: 2, price: 3.5 } : own)),
    )
    const read = readListCsv(`\uFEFF${filled}`, sheet.list)
    expect('lines' in read && read.lines[0]).toEqual({ key: first!.line.key, have: 2, price: 3.5 })
    expect('lines' in read && read.lines).toHaveLength(lines.length)
  })
  test.each([
    ['another file', 'a,b\r\n1,2', 'no columns'],
    ['a list of other lines', 'line,have,price\r\nnothing of here,1,1', 'No line'],
    ['a word for a number', `line,have,price\r\n"${lines[0]!.line.key}",some,1`, 'Line 2'],
    ['less than nothing', `line,have,price\r\n"${lines[0]!.line.key}",1,-2`, 'in price'],
    ['nothing', '', 'no columns'],
  ])('%s is refused, all of it', (_, text, why) => {
    const read = readListCsv(text, sheet.list)
    expect('fault' in read && read.fault).toContain(why)
  })
  test('takes decimal commas', () => {
    const read = readListCsv(`line,have,price\r\n"${lines[0]!.line.key}",1,"2,50"`, sheet.list)
    expect('lines' in read && read.lines[0]!.price).toBe(2.5)
  })
})

test('the cuts as CSV are in millimetres, a line a piece', () => {
  const rows = cutsCsv(sheet).split('\r\n')
  expect(rows).toHaveLength(sheet.cuts.length + 1)
  const cut = sheet.cuts[0]!
  expect(rows[1]!.split(',')[4]).toBe(String(Math.round(cut.cutM * 10_000) / 10))
})

/** A floor with two holes near its back right corner. */
const floor = templateOf(
  {
    id: 'tank floor',
    tankId: 'tank',
    tankName: 'Tank',
    panel: 'floor',
    widthM: 1.2,
    heightM: 0.5,
    glass: 'plain',
    holes: [
      {
        id: 'a',
        name: 'A & B',
        alongM: 1.0,
        upM: 0.45,
        diameterM: 0.044,
        flangeM: 0.064,
        isAssumed: false,
      },
      {
        id: 'b',
        name: 'C',
        alongM: 1.1,
        upM: 0.45,
        diameterM: 0.035,
        flangeM: 0.052,
        isAssumed: false,
      },
    ],
  },
  'Tank, floor',
)

describe('a template', () => {
  test('as SVG has its size in millimetres and carries its looks itself', () => {
    const svg = new DOMParser().parseFromString(templateSvg(floor), 'image/svg+xml')
    const root = svg.documentElement
    expect([root.getAttribute('width'), root.getAttribute('height')]).toEqual(['1200mm', '500mm'])
    expect(root.getAttribute('viewBox')).toBe('0 0 1200 500')
    expect(svg.querySelectorAll('[class]')).toHaveLength(0)
    const [hole] = svg.querySelectorAll('circle')
    expect(['cx', 'cy', 'r'].map((name) => hole!.getAttribute(name))).toEqual(['1000', '50', '22'])
    expect(svg.querySelector('text')!.textContent).toBe('A & B')
  })
  test('as DXF has the panel and its holes, y upwards', () => {
    const dxf = new DxfParser().parseSync(templateDxf(floor))!
    const circles = dxf.entities.filter(({ type }) => type === 'CIRCLE') as unknown as readonly {
      readonly center: { readonly x: number; readonly y: number }
      readonly radius: number
    }[]
    expect(circles.map(({ center, radius }) => [center.x, center.y, radius])).toEqual([
      [1000, 450, 22],
      [1100, 450, 17.5],
    ])
    expect(dxf.entities.filter(({ layer }) => layer === 'panel')).not.toHaveLength(0)
  })
  test.each([
    ['metric', 210, 297, 100],
    ['us', 215.9, 279.4, 101.6],
  ] as const)(
    'on paper (%s) shows the corner the holes are nearest to, at its own size',
    (family, wide, high, bar) => {
      const pages = templatePages(floor, family)
      // From the back right corner to the far flange of the first hole: 232 mm by 82 mm.
      expect(pages).toHaveLength(2)
      for (const page of pages) {
        const root = new DOMParser().parseFromString(page, 'image/svg+xml').documentElement
        expect(root.getAttribute('width')).toBe(`${wide}mm`)
        expect(root.getAttribute('viewBox')).toBe(`0 0 ${wide} ${high}`)
        expect(page).toContain(`H${12 + bar}V`)
      }
      expect(pages[0]).toContain('translate(-956 12)')
      expect(pages[1]).toContain('paper A2 of 2 × 1')
    },
  )
})
