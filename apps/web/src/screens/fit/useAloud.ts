import { useEffect, useRef } from 'react'
import { useTabletChoice } from '../../bench/useTabletChoice.ts'

export const canSpeak = (): boolean => 'speechSynthesis' in window

/**
 * Reads aloud each of some words when it changes, for hands that hold film; the words that are there when it is switched on are read first. What
 * was being said gives way to what is new. Off unless this tablet was told to.
 */
export function useAloud(words: readonly (string | null)[]): void {
  const [choice] = useTabletChoice('reads aloud')
  const said = useRef<readonly (string | null)[]>([])
  const on = choice === 'yes' && canSpeak()
  const key = words.join('\n')
  // biome-ignore lint/correctness/useExhaustiveDependencies: the words are their text
  useEffect(() => {
    if (!on) {
      said.current = []
      return
    }
    const fresh = words.filter((word, i) => word !== null && word !== said.current[i])
    said.current = words
    if (fresh.length === 0) return
    window.speechSynthesis.cancel()
    for (const word of fresh) {
      const utterance = new SpeechSynthesisUtterance(word ?? '')
      utterance.lang = document.documentElement.lang
      window.speechSynthesis.speak(utterance)
    }
  }, [on, key])
  useEffect(() => () => (canSpeak() ? window.speechSynthesis.cancel() : undefined), [])
}
