import { orderRequest } from '@truelay/contract'
import { planDay } from '@truelay/core/order'
import { NoneFound, readDocument, valueOrBadInput } from '../input.ts'

const spentMs = () => {
  const { user, system } = process.cpuUsage()
  return (user + system) / 1000
}

/** `order DAY.json` */
export function order(file: string | undefined) {
  const { seconds, ...day } = readDocument(file, orderRequest)
  const plan = planDay(day, { seconds, spentMs })
  if (!plan.ok && (plan.failure.code === 'DAY_NOT_FOUND' || plan.failure.code === 'DAY_LATE'))
    throw NoneFound.of(plan.failure)
  const { late: _, ...told } = valueOrBadInput(plan)
  return told
}
