import { useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import { exportToFile } from '../../journal/exporting.ts'
import { ImportFile } from '../../journal/bring-in/ImportFile.tsx'
import { useHousehold, useShown } from '../../journal/provider.tsx'
import { WHICH_NAMES, type Which } from '../../journal/which.ts'
import { Button, ButtonLink, PrimaryButton } from '../../look/buttons.ts'
import { Page, PageHead, TwoParts } from '../../look/page.ts'
import { Heading, Line, Small, Stack, Title } from '../../look/text.ts'
import { downloadText } from '../../storage/download.ts'
import { plural } from '../../../core/words/numbers.ts'
import { readingsCsv } from './csv.ts'
import { DaysAway, PlanOut } from './PlanOut.tsx'
import { CouldNotRead } from './CouldNotRead.tsx'
import { HouseRecord } from './HouseRecord.tsx'
import { OnThisDevice } from './OnThisDevice.tsx'
import { SettingsForm } from './SettingsForm.tsx'
import { StartOver } from './StartOver.tsx'

const Section = styled.section`
  display: flex;
  flex-direction: column;
  gap: 12px;
`

const Which_ = styled.button`
  flex: 1 1 200px;
  min-height: 56px;
  padding: 8px 14px;
  border: 1.5px solid var(--strong-rule);
  border-radius: 2px;
  background: none;
  text-align: start;
  cursor: pointer;
  strong {
    display: block;
  }
  span {
    font-size: 14px;
    color: var(--quiet);
  }
  &[aria-pressed='true'] {
    border-color: var(--second);
    box-shadow: inset 4px 0 0 var(--second);
  }
`

/** The journal out and in, the two households, this device, and starting over. */
export function Records() {
  const { journal, settings, which } = useHousehold()
  const { show } = useShown()
  const [params] = useSearchParams()
  // Where the journal holds something that breaks what is worked out from it, nothing is worked out: it can be carried out all the same.
  const isSafe = params.has('safe')
  const saveCsv = () => downloadText(`brinvo-${which}-readings.csv`, readingsCsv(journal, settings), 'text/csv')
  return (
    <Page>
      <PageHead>
        <Title>Records</Title>
      </PageHead>
      <TwoParts>
        <Stack $gap={32}>
          <Section>
            <Heading>Which household is shown</Heading>
            <Line $gap={12}>
              {(['sample', 'mine'] as const).map((one: Which) => (
                <Which_ key={one} type="button" aria-pressed={which === one} onClick={() => show(one)}>
                  <strong>{WHICH_NAMES[one]}</strong>
                  <span>
                    {one === 'sample' ? 'made up, to look round and try things in' : 'your own journal, empty at first'}
                  </span>
                </Which_>
              ))}
            </Line>
            <Small>They live side by side on this device. What is tried in the sample stays in the sample.</Small>
          </Section>
          <Section>
            <Heading>Carry it out</Heading>
            <p>
              {plural(journal.size, 'entry', 'entries')} of {WHICH_NAMES[which].toLowerCase()}, corrections and
              strike-outs included; with photos it is a zip that holds them too. A file a month, kept elsewhere,
              survives a lost phone.
            </p>
            <Line>
              <PrimaryButton onPress={() => void exportToFile(which, journal)}>Export the journal</PrimaryButton>
              <Button onPress={saveCsv}>Readings as CSV</Button>
            </Line>
          </Section>
          <CouldNotRead />
          {!isSafe && <PlanOut />}
          <Section>
            <Heading>Bring one in</Heading>
            <Small>What the file adds is shown before anything is kept. The same file twice adds nothing.</Small>
            <ImportFile />
          </Section>
          <Section>
            <Heading>Time zone and units</Heading>
            <SettingsForm key={which} />
          </Section>
        </Stack>
        <Stack $gap={32}>
          {isSafe ? (
            <Small>This page shows only what you need to export or import the journal.</Small>
          ) : (
            <>
              <DaysAway />
              <div>
                <ButtonLink href="/records/minder">A sheet for whoever minds the tanks</ButtonLink>
              </div>
              <HouseRecord />
            </>
          )}
          <OnThisDevice />
          <StartOver />
        </Stack>
      </TwoParts>
    </Page>
  )
}
