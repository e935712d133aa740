import type { Case } from '../../../../core/diagnosis/cases.ts'
import type { NightPlace } from '../../../../core/diagnosis/night-test.ts'
import { momentBeside } from '../../../../core/time/words.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button, PlainButton, PrimaryButton } from '../../../look/buttons.ts'
import { Stack } from '../../../look/text.ts'
import { useCaseKeeping } from '../useCaseKeeping.tsx'

/** What a jar in the dark showed. */
export const JAR_WORDS: Record<NightPlace, string> = {
  water: 'brown evenly through the water: they are in the water at night',
  sand: 'clear water over a brown bottom: they stay in the sand',
  between: 'brown in both: part of them leaves, part stays',
}

/** The jar of a case: put into the dark, looked at, and what it showed. */
export function JarOfCase({ one }: { one: Case }) {
  const { settings } = useHousehold()
  const now = useNow()
  const { mark, busy, note } = useCaseKeeping(one)
  const { nightTest } = one
  const begin = () => void mark({ mark: 'night-test' })
  const isRunning = nightTest !== null && nightTest.place === null
  return (
    <Stack $gap={10}>
      {isRunning && (
        <p style={{ fontWeight: 700 }}>
          In the dark since {momentBeside(nightTest.begunAt, now, settings.clock)};{' '}
          {nightTest.lookAt <= now ? 'look now' : `look ${momentBeside(nightTest.lookAt, now, settings.clock)}`}.
        </p>
      )}
      {nightTest?.place != null && <p style={{ fontWeight: 700 }}>It was {JAR_WORDS[nightTest.place]}.</p>}
      {one.ended !== null ? null : isRunning ? (
        <Stack $gap={8}>
          {(['water', 'sand', 'between'] as const).map((night) => (
            <Button
              key={night}
              isDisabled={busy}
              style={{ justifyContent: 'flex-start', textAlign: 'left' }}
              onPress={() => void mark({ mark: 'night-test', night })}
            >
              {JAR_WORDS[night]}
            </Button>
          ))}
          <PlainButton isDisabled={busy} onPress={() => void mark({ mark: 'night-test', night: 'given-up' })}>
            the jar was not looked at
          </PlainButton>
        </Stack>
      ) : (
        <div>
          {nightTest === null ? (
            <PrimaryButton isDisabled={busy} onPress={begin}>
              The jar is in the dark now
            </PrimaryButton>
          ) : (
            <PlainButton isDisabled={busy} onPress={begin}>
              another jar is in the dark now
            </PlainButton>
          )}
        </div>
      )}
      {note}
    </Stack>
  )
}
