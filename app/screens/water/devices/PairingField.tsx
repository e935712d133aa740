import { useId, useState } from 'react'
import { styled } from 'styled-components'
import { NAME_LETTERS } from '../../../../core/journal/contents/text-limits.ts'
import { keepPairingWord, wantsPairing } from '../../../devices/api.ts'
import { FieldShell, inputShape } from '../../../fields/shell.tsx'
import { Button } from '../../../look/buttons.ts'
import { Line } from '../../../look/text.ts'

const Input = styled.input`
  ${inputShape}
`

/** The pairing word of a server that is open to the network: asked for once it has refused an order. */
export function PairingField() {
  const id = useId()
  const [word, setWord] = useState('')
  const [isKept, setKept] = useState(false)
  if (!wantsPairing() || isKept) return null
  return (
    <Line $gap={12} style={{ alignItems: 'end' }}>
      <FieldShell id={id} label="Pairing word of the device server" onPick={setWord}>
        <Input
          id={id}
          value={word}
          maxLength={NAME_LETTERS}
          autoComplete="off"
          autoCapitalize="none"
          spellCheck={false}
          onChange={(event) => setWord(event.target.value)}
        />
      </FieldShell>
      <Button
        isDisabled={word.trim() === ''}
        onPress={() => {
          keepPairingWord(word)
          setKept(true)
        }}
      >
        Pair this browser
      </Button>
    </Line>
  )
}
