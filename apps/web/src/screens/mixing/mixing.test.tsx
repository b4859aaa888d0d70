import { say } from '@truelay/core/say'
import { english } from '@truelay/words'
import { measureBatch, measureDefaults, mixBatch } from '@truelay/core/mix'
import { practiceWith } from '@truelay/core/practice'
import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, test } from 'vitest'
import { BladeInHand } from '../fit/BladeInHand.tsx'
import { HeatHow } from '../fit/HeatHow.tsx'
import { WasItReady } from '../fit/WasItReady.tsx'
import { PourList } from './PourList.tsx'
import { firstWish, freshBatch, mixedSchools, wishedStrength, wishWords } from './wish.ts'

const text = (markup: string) => markup.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ')
const practice = practiceWith()

describe('a wish', () => {
  test.each(mixedSchools.map((s) => s.school))('%s can be mixed from stock, and has a name', (school) => {
    const wish = { ...firstWish, school }
    expect(freshBatch(wish, practice, { alcoholPercent: 70 }, 1000).ok).toBe(true)
    expect(english(wishWords(wish, practice))).not.toBe('')
  })
  test('of one’s own is what was typed', () => {
    const own = { school: 'own' as const, own: { alcoholPercent: 12, soapMlPerL: 0.5 } }
    expect(wishedStrength(own, practice)).toEqual(own.own)
    expect(english(wishWords(own, practice))).toBe('12 % alcohol, 0.5 mL/L soap')
    expect(
      freshBatch({ ...own, own: { alcoholPercent: 80, soapMlPerL: 0 } }, practice, { alcoholPercent: 70 }, 500).ok,
    ).toBe(false)
  })
})

test('the pours stand in their order, what is poured away first', () => {
  const stock = { alcoholPercent: 70 }
  const batch = mixBatch({ target: { alcoholPercent: 10, soapMlPerL: 2 }, stock, batchMl: 1000 })
  if (!batch.ok) throw new Error(english(batch.failure.sentence))
  const list = text(
    renderToStaticMarkup(
      <PourList
        title="To put it right"
        measured={measureBatch(batch.value.add, stock)}
        measures={measureDefaults}
        pourOffMl={200}
      />,
    ),
  )
  const places = ['pour away', 'water', 'alcohol stock', 'soap'].map((word) => list.indexOf(word))
  expect(places.every((place, i) => place > (places[i - 1] ?? -1))).toBe(true)
  expect(list).toContain('syringe to 2 mL')
})

test('how to hold the gun is said with what the thermometer should read', () => {
  const heat = {
    words: say`third notch, a palm away, along and back twice, about one second each way`,
    readingC: 48.4,
    passes: 4,
    passesRange: [3, 6] as const,
    coolToCutS: 40,
    warning: null,
  }
  const said = text(renderToStaticMarkup(<HeatHow heat={heat} thenCut />))
  expect(said).toContain('third notch')
  expect(said).toContain('48 °C')
  expect(said).toContain('from pass 3 on')
  expect(said).toContain('Press while it is warm, cut after 40 s')
  const pull = text(renderToStaticMarkup(<HeatHow heat={heat} thenCut={false} />))
  expect(pull).toContain('Press while it is warm')
  expect(pull).not.toContain('cut after')
})

test('a wait is asked about, a blade shows what it will cut', () => {
  const asked = text(renderToStaticMarkup(<WasItReady label={say`initial grab`} minutes={18.2} onAnswer={() => {}} />))
  expect(asked).toContain('Was it ready? initial grab, 18 min')
  const blade = text(renderToStaticMarkup(<BladeInHand fresh cutMm={866} onFresh={() => {}} />))
  expect(blade).toContain('866 mm')
})
