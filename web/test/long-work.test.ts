import { describe, expect, test } from '@jest/globals'
import type { Remote } from 'comlink'
import { effectScope, shallowRef } from 'vue'
import { useLongWork } from '../src/calc/long-work.ts'
import { oneByOne } from '../src/calc/one-by-one.ts'

/** Work whose answers are given by hand, one question after the other. */
function aWork(first: string) {
  const subject = shallowRef<string | null>(first)
  const waiting: { readonly about: string; readonly give: (answer: string) => void }[] = []
  const scope = effectScope()
  const work = scope.run(() =>
    useLongWork({
      spawn: () => ({ remote: {} as Remote<object>, end: () => undefined, inTurn: oneByOne() }),
      subject: () => subject.value,
      ask: (about: string) =>
        new Promise<string>((give) => {
          waiting.push({ about, give })
        }),
    }),
  )!
  return { subject, waiting, work, scope }
}

describe('long work', () => {
  test('an answer is of what it was asked about, and stale while another is worked at', async () => {
    const { subject, waiting, work } = aWork('shallow')
    const running = work.start()
    waiting[0]!.give('a stand')
    await running
    expect([work.fresh.value, work.stale.value]).toEqual(['a stand', false])
    subject.value = 'deep'
    const again = work.start()
    // What fixed the shallow one is not offered for the deep one, however long its answer takes.
    expect([work.asked.value, work.of.value, work.answer.value]).toEqual([
      'deep',
      'shallow',
      'a stand',
    ])
    expect([work.stale.value, work.fresh.value]).toEqual([true, null])
    waiting[1]!.give('no stand')
    await again
    expect([work.fresh.value, work.stale.value]).toEqual(['no stand', false])
  })

  test('an answer that comes after another was asked is nobody’s', async () => {
    const { subject, waiting, work } = aWork('first')
    const first = work.start()
    subject.value = 'second'
    const second = work.start()
    waiting[1]!.give('of the second')
    await second
    waiting[0]!.give('of the first')
    expect(await first).toBeNull()
    expect([work.answer.value, work.of.value]).toEqual(['of the second', 'second'])
  })

  test('a view that is gone asks nothing, even what it had in mind to ask in a moment', async () => {
    const { waiting, work, scope } = aWork('first')
    scope.stop()
    expect(await work.start()).toBeNull()
    expect(waiting).toEqual([])
    expect(work.progress.value).toBeNull()
  })

  test('cancelled, the last answer stays; forgotten, it goes', async () => {
    const { waiting, work } = aWork('one')
    const running = work.start()
    waiting[0]!.give('kept')
    await running
    void work.start()
    work.cancel()
    expect([work.answer.value, work.progress.value]).toEqual(['kept', null])
    work.forget()
    expect([work.answer.value, work.of.value, work.asked.value]).toEqual([null, null, null])
  })

  test('a view that is left ends what it asked', () => {
    const { work, scope } = aWork('one')
    void work.start()
    expect(work.progress.value).not.toBeNull()
    scope.stop()
    expect(work.progress.value).toBeNull()
  })
})
