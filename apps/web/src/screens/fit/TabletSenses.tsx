import { Bell, BellOff, Volume2, VolumeX } from 'lucide-react'
import { readyBell } from '../../bench/waitBell.ts'
import { useTabletChoice } from '../../bench/useTabletChoice.ts'
import { useWords } from '../../ui/words.ts'
import { canSpeak } from './useAloud.ts'

/** What this tablet does besides showing: a bell at the end of a wait, and reading aloud. */
export function TabletSenses() {
  const t = useWords()
  const [sound, setSound] = useTabletChoice('waits sound')
  const [aloud, setAloud] = useTabletChoice('reads aloud')
  const shape = 'flex size-11 items-center justify-center hover:text-petrol'
  const look = (on: boolean) => `${shape} ${on ? 'text-petrol' : 'text-quiet'}`
  return (
    <div className="flex">
      <button
        type="button"
        aria-pressed={sound === 'yes'}
        aria-label={t`Ring when a wait is over`}
        title={sound === 'yes' ? t`Rings when a wait is over` : t`Quiet when a wait is over`}
        className={look(sound === 'yes')}
        onClick={() => {
          readyBell()
          setSound(sound === 'yes' ? 'no' : 'yes')
        }}
      >
        {sound === 'yes' ? <Bell size={24} aria-hidden /> : <BellOff size={24} aria-hidden />}
      </button>
      {canSpeak() ? (
        <button
          type="button"
          aria-pressed={aloud === 'yes'}
          aria-label={t`Read steps aloud`}
          title={aloud === 'yes' ? t`Steps are read aloud` : t`Steps are not read aloud`}
          className={look(aloud === 'yes')}
          onClick={() => setAloud(aloud === 'yes' ? 'no' : 'yes')}
        >
          {aloud === 'yes' ? <Volume2 size={24} aria-hidden /> : <VolumeX size={24} aria-hidden />}
        </button>
      ) : null}
    </div>
  )
}
