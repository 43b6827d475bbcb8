import { beforeEach, describe, expect, test } from '@jest/globals'
import type { BasinDesign } from '@yew-basin/core'
import { Drafts } from '../src/workspace/drafts.ts'

const draft = (n: number, at: number) => ({
  revision: n,
  design: { n } as unknown as BasinDesign,
  sent: null,
  at,
})

describe('drafts', () => {
  beforeEach(() => localStorage.clear())

  test('a tab finds its own after a reload, whatever its age', () => {
    new Drafts('d', 'one').keep(draft(3, 1000))
    expect(new Drafts('d', 'one').take(1001)).toEqual(draft(3, 1000))
  })
  test('another living tab’s is left alone; one a closed tab left is taken over', () => {
    new Drafts('d', 'one').keep(draft(3, 1000))
    const other = new Drafts('d', 'two')
    expect(other.take(2000)).toBeNull()
    expect(other.take(60_000)).toEqual(draft(3, 60_000))
    expect(new Drafts('d', 'one').take(60_001)).toBeNull()
    expect(other.take(60_001)).toEqual(draft(3, 60_000))
  })
  test('of several left behind the newest is taken', () => {
    new Drafts('d', 'one').keep(draft(3, 1000))
    new Drafts('d', 'two').keep(draft(4, 2000))
    expect(new Drafts('d', 'three').take(90_000)).toEqual(draft(4, 90_000))
  })
  test('another design’s, and one that is no draft, are none of ours', () => {
    new Drafts('e', 'one').keep(draft(3, 1000))
    localStorage.setItem('yew.draft.d.x', '{"revision":')
    localStorage.setItem('yew.draft.d.y', '{"at":1}')
    expect(new Drafts('d', 'two').take(90_000)).toBeNull()
  })
  test('is dropped once saved', () => {
    const drafts = new Drafts('d', 'one')
    drafts.keep(draft(3, 1000))
    drafts.drop()
    expect(drafts.take(1)).toBeNull()
  })
})
