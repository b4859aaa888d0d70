import type { Bay, PartProgress } from '@truelay/contract'
import { useBayQuery } from '../../remote/api.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { dayText } from '../../ui/clockText.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { useNow } from '../../ui/useNow.ts'
import { Drying } from './Drying.tsx'
import { VehicleHere } from './VehicleHere.tsx'

/** Home: the vehicles that are here, what comes next, what is drying. */
export function BayScreen() {
  const { data: bay, error } = useBayQuery(undefined, { pollingInterval: 15_000, refetchOnMountOrArgChange: true })
  const now = useNow(1000)
  if (bay === undefined) return error === undefined ? <Busy text="Opening the bay" /> : <Failed {...failureOf(error)} />
  const waits = bay.jobs.flatMap((j) => j.parts).filter((p) => p.readyAt !== null)
  return (
    <div className="flex min-h-full flex-col">
      <header className="flex flex-wrap items-end justify-between gap-x-8 gap-y-2 border-b border-hair bg-paper px-6 py-4">
        <div>
          <p className="label text-[15px] text-quiet">{bay.shop.name}</p>
          <h1 className="text-[30px] font-bold leading-tight">{dayText(now)}</h1>
        </div>
        <Room bay={bay} />
      </header>
      <div className="grid flex-1 lg:grid-cols-[1fr_316px]">
        <main className="min-w-0">
          {bay.jobs.length === 0 ? (
            <Failed sentence="No vehicle is here today." fix="A job appears here as soon as its vehicle has come in." />
          ) : (
            bay.jobs.map(({ job, parts }) => (
              <VehicleHere key={job.id} job={job} parts={parts} people={bay.people} now={now} />
            ))
          )}
        </main>
        <aside className="border-t border-hair bg-paper lg:border-l lg:border-t-0">
          <NextForPeople bay={bay} />
          <Drying parts={waits} now={now} />
        </aside>
      </div>
    </div>
  )
}

function Room({ bay }: { readonly bay: Bay }) {
  const room = bay.jobs[0]?.job.room
  if (room === undefined) return null
  return (
    <p className="text-right">
      <span className="label block text-[15px] text-quiet">in the bay</span>
      <span className="text-[22px] font-bold">
        <Quantity temperatureC={room.temperatureC} digits={1} /> <span className="pl-2">{room.humidityPercent} %</span>
      </span>
    </p>
  )
}

function NextForPeople({ bay }: { readonly bay: Bay }) {
  const rows = bay.people.map((person) => {
    const mine = bay.jobs.filter(({ job }) => job.personId === person.id).flatMap(({ parts }) => parts)
    return { person, next: nextPart(mine) }
  })
  return (
    <section aria-labelledby="next-title" className="border-b border-hair px-5 py-4">
      <h2 id="next-title" className="label-strong text-[16px]">
        Who does what next
      </h2>
      <ul className="mt-2 space-y-2.5">
        {rows.map(({ person, next }) => (
          <li key={person.id} className="leading-snug">
            <span className="font-bold">{person.name}</span> <span className="text-quiet">{person.role}</span>
            <br />
            {next === null ? <span className="text-quiet">free</span> : <span>{nextWords(next)}</span>}
          </li>
        ))}
      </ul>
    </section>
  )
}

const nextPart = (parts: readonly PartProgress[]) =>
  parts.find((p) => p.state === 'fitting') ?? parts.find((p) => p.state === 'waiting') ?? null

const nextWords = (part: PartProgress) =>
  part.state === 'fitting' ? `${part.name}: ${part.nextStep ?? 'last step'}` : `${part.name}: open the lay sheet`
