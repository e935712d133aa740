import { styled } from 'styled-components'
import type { Which } from '../../journal/which.ts'
import { Button, PrimaryButton } from '../../look/buttons.ts'
import { Line, Small, Stack } from '../../look/text.ts'

const Sheet = styled.main`
  min-height: 100dvh;
  display: grid;
  align-content: center;
  padding: 32px 24px;
  background: var(--sheet);
`

const Column = styled.div`
  width: 100%;
  max-width: 620px;
  margin: 0 auto;
  padding-left: 22px;
  border-left: 3px solid var(--second);
`

const Name = styled.h1`
  margin: 0;
  font-size: 44px;
  font-weight: 750;
  letter-spacing: -0.02em;
`

const Says = styled.p`
  margin: 0;
  font-size: 21px;
  line-height: 1.4;
`

/** The very first visit: what this is, and which household to open. */
export function Welcome({ onChoose }: { onChoose: (which: Which) => void }) {
  return (
    <Sheet>
      <Column>
        <Stack $gap={22}>
          <Name>Brinvo</Name>
          <Says>
            A notebook for the aquariums in your home that does the measuring, the arithmetic and the scheduling of
            quarantine, treatments and outbreaks, and keeps the record. Look round in a made-up household first, or
            begin your own: it stays in this browser, on this device.
          </Says>
          <Line $gap={12}>
            <PrimaryButton onPress={() => onChoose('sample')}>Look at the sample household</PrimaryButton>
            <Button onPress={() => onChoose('mine')}>Begin my own</Button>
          </Line>
          <Small>
            Brinvo advises and never diagnoses for certain. Product labels, local law and a licensed aquatic
            veterinarian come before it.
          </Small>
        </Stack>
      </Column>
    </Sheet>
  )
}
