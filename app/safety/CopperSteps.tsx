import { copperAlarms } from '../../core/safety/alarms.ts'
import type { Tank } from '../../core/household/tanks.ts'
import { useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { Bar, Heading } from '../look/text.ts'

/** What to do now with copper in a tank where invertebrates or corals live; nothing where there is none. */
export function CopperSteps({ tank }: { tank: Tank }) {
  const { journal } = useHousehold()
  const alarm = copperAlarms(journal, useNow()).find((one) => one.tank.id === tank.id)
  if (!alarm) return null
  return (
    <section aria-label="Copper: what to do now">
      <Heading>Copper: what to do now</Heading>
      <Bar $tone="act" role="alert" style={{ marginTop: 12 }}>
        <ol style={{ paddingLeft: 20 }}>
          {alarm.steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </Bar>
    </section>
  )
}
