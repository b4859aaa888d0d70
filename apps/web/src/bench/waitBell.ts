/** Two tones that carry over a compressor, ms and Hz. */
const tones = [
  { hz: 880, atMs: 0 },
  { hz: 1175, atMs: 260 },
]
const toneMs = 220
const loudness = 0.4
const shakes = [250, 120, 250]

let speaker: AudioContext | null = null

/** A browser lets a page sound only after a press: called within one. */
export function readyBell(): void {
  if (typeof AudioContext !== 'undefined') {
    speaker ??= new AudioContext()
    void speaker.resume()
  }
  if (typeof Notification !== 'undefined' && Notification.permission === 'default')
    void Notification.requestPermission()
}

/** Sounds, shakes the tablet, and tells it where another page is looked at; what a browser cannot do is left out. */
export function ringBell(words: string): void {
  if (speaker !== null && speaker.state === 'running') for (const tone of tones) play(speaker, tone)
  if ('vibrate' in navigator) navigator.vibrate(shakes)
  if (document.hidden && typeof Notification !== 'undefined' && Notification.permission === 'granted')
    new Notification(words, { tag: 'wait' })
}

function play(on: AudioContext, { hz, atMs }: { readonly hz: number; readonly atMs: number }): void {
  const from = on.currentTime + atMs / 1000
  const source = new OscillatorNode(on, { frequency: hz, type: 'triangle' })
  const volume = new GainNode(on, { gain: 0 })
  volume.gain.setValueAtTime(loudness, from)
  volume.gain.exponentialRampToValueAtTime(0.001, from + toneMs / 1000)
  source.connect(volume).connect(on.destination)
  source.start(from)
  source.stop(from + toneMs / 1000)
}
