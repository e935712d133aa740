import { useState } from 'react'
import { MODELLED, type Modelled } from '../../../../core/schools/risk.ts'
import { usualAssumption, type RiskAssumption } from '../../../../core/risk/shelter.ts'
import { numberIn } from '../../../fields/number-in.ts'
import { PARASITE_NAMES } from '../../../courses/words.ts'
import { FigureField } from '../../../fields/plain.tsx'
import { PlainButton } from '../../../look/buttons.ts'
import { HandbookLink } from '../../../look/HandbookLink.tsx'
import { FieldGrid } from '../../../look/page.ts'
import { Heading, Line, Small, Stack } from '../../../look/text.ts'

/** A number of an assumption: where it stands, and what it may be. */
interface Part {
  label: string
  unit: string
  get: (one: RiskAssumption) => number
  set: (one: RiskAssumption, value: number) => RiskAssumption
  most?: number
}

const PARTS: readonly Part[] = [
  {
    label: 'On each fish',
    unit: 'parasites',
    get: ({ parasitesOnHost }) => parasitesOnHost,
    set: (one, value) => ({ ...one, parasitesOnHost: value }),
  },
  {
    label: 'On the fish, median',
    unit: 'h',
    get: ({ onHost }) => onHost.medianHours,
    set: (one, value) => ({ ...one, onHost: { ...one.onHost, medianHours: value } }),
  },
  {
    label: 'spread of it',
    unit: 'log sd',
    get: ({ onHost }) => onHost.logSd,
    set: (one, value) => ({ ...one, onHost: { ...one.onHost, logSd: value } }),
  },
  {
    label: 'Cyst at least',
    unit: 'h',
    get: ({ cyst }) => cyst.minHours,
    set: (one, value) => ({ ...one, cyst: { ...one.cyst, minHours: value } }),
  },
  {
    label: 'then, median',
    unit: 'h more',
    get: ({ cyst }) => cyst.medianHours,
    set: (one, value) => ({ ...one, cyst: { ...one.cyst, medianHours: value } }),
  },
  {
    label: 'spread of that',
    unit: 'log sd',
    get: ({ cyst }) => cyst.logSd,
    set: (one, value) => ({ ...one, cyst: { ...one.cyst, logSd: value } }),
  },
  {
    label: 'A hatchling finds the fish',
    unit: 'of 1',
    most: 1,
    get: ({ infection }) => infection,
    set: (one, value) => ({ ...one, infection: value }),
  },
]

/** What the risks rest on: open to view, and to change. */
export function Assumptions({
  assumptions,
  onChange,
}: {
  assumptions: Readonly<Record<Modelled, RiskAssumption>>
  onChange: (assumptions: Record<Modelled, RiskAssumption>) => void
}) {
  const [isOpen, setOpen] = useState(false)
  return (
    <section>
      <Heading>
        What the risks rest on
        <PlainButton onPress={() => setOpen(!isOpen)} aria-expanded={isOpen}>
          {isOpen ? 'close' : 'view and change'}
        </PlainButton>
      </Heading>
      <Small>
        A model with assumed numbers, no measurement: the chance that one parasite at least comes back to a fish.{' '}
        <HandbookLink to="life-cycles">handbook</HandbookLink>
      </Small>
      {isOpen && (
        <Stack $gap={20} style={{ paddingTop: 12 }}>
          {MODELLED.map((parasite) => (
            <OfParasite
              key={parasite}
              parasite={parasite}
              assumption={assumptions[parasite]}
              onChange={(changed) => onChange({ ...assumptions, [parasite]: changed })}
            />
          ))}
        </Stack>
      )}
    </section>
  )
}

function OfParasite({
  parasite,
  assumption,
  onChange,
}: {
  parasite: Modelled
  assumption: RiskAssumption
  onChange: (assumption: RiskAssumption) => void
}) {
  const [texts, setTexts] = useState<Record<string, string>>({})
  const reset = (infection: 'light' | 'heavy') => {
    setTexts({})
    onChange(usualAssumption(parasite, infection))
  }
  return (
    <Stack $gap={10}>
      <Line $gap={16}>
        <strong>{PARASITE_NAMES[parasite]}</strong>
        <PlainButton onPress={() => reset('light')}>light infection</PlainButton>
        <PlainButton onPress={() => reset('heavy')}>heavy infection</PlainButton>
      </Line>
      <FieldGrid>
        {PARTS.map(({ label, unit, get, set, most = Infinity }) => {
          const text = texts[label] ?? String(get(assumption))
          const value = numberIn(text)
          const isWrong = value === null || !(value > 0) || value > most
          return (
            <FigureField
              key={label}
              label={label}
              value={text}
              onChange={(typed) => {
                setTexts((old) => ({ ...old, [label]: typed }))
                const read = numberIn(typed)
                if (read !== null && read > 0 && read <= most) onChange(set(assumption, read))
              }}
              after={unit}
              problem={isWrong ? { message: most === 1 ? 'a share over 0, up to 1' : 'a number over 0' } : undefined}
            />
          )
        })}
      </FieldGrid>
    </Stack>
  )
}
