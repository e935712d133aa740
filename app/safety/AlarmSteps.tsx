import { Bar, Heading } from '../look/text.ts'

/** What to do now against something in the water, step by step. */
export function AlarmSteps({ what, steps }: { what: string; steps: readonly string[] }) {
  const title = `${what}: what to do now`
  return (
    <section aria-label={title} style={{ marginBottom: 28 }}>
      <Heading>{title}</Heading>
      <Bar $tone="act" role="alert" style={{ marginTop: 12 }}>
        <ol style={{ paddingLeft: 20, listStyle: 'decimal' }}>
          {steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </Bar>
    </section>
  )
}
