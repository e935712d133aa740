import type { LengthsSay } from '../../../../../core/microscope/lengths.ts'
import { AMPHIDINIUM_UM, CELLS_TO_MEASURE } from '../../../../../core/microscope/lengths.ts'
import { figures, plural } from '../../../../../core/words/numbers.ts'
import { FigureField } from '../../../../fields/plain.tsx'
import { Button } from '../../../../look/buttons.ts'
import { Figure, Heading, Line, Quiet, Small, Stack } from '../../../../look/text.ts'
import type { MicroscopeSubject } from '../useSubject.ts'

/** The sign of the film table that a median length answers. */
const SMALL_CELL = 'a-m-under-25um'

/** Lengths of single dinoflagellates, their median, and what it says of an Amphidinium. */
export function Lengths({
  text,
  scale,
  says: { medianUm, count, cell, more },
  problem,
  scaleProblem,
  onText,
  onScale,
  subject,
}: {
  text: string
  scale: string
  says: LengthsSay
  problem: string | null
  scaleProblem: string | null
  onText: (text: string) => void
  onScale: (text: string) => void
  subject: MicroscopeSubject
}) {
  const { largeFrom, smallTo, split } = AMPHIDINIUM_UM
  const answer = cell === null ? null : cell === 'small' ? ('present' as const) : ('absent' as const)
  const mayAnswer = subject.table === 'marine-film' && answer !== null && subject.own[SMALL_CELL] !== answer
  return (
    <section>
      <Heading>Lengths of the dinoflagellates</Heading>
      <Stack $gap={12} style={{ paddingTop: 12 }}>
        <Line $gap={16} style={{ alignItems: 'start' }}>
          <div style={{ flex: '1 1 260px' }}>
            <FigureField
              label="Lengths, apart by spaces"
              after={scale === '' ? 'µm' : 'divisions'}
              value={text}
              onChange={onText}
              problem={problem === null ? undefined : { message: problem }}
            />
          </div>
          <div style={{ width: 210 }}>
            <FigureField
              label="A division of the eyepiece"
              after="µm"
              value={scale}
              onChange={onScale}
              hint="left empty: typed in µm"
              problem={scaleProblem === null ? undefined : { message: scaleProblem }}
            />
          </div>
        </Line>
        {medianUm !== null && (
          <Line $gap={12} style={{ alignItems: 'baseline' }}>
            <Figure $size={30}>{figures(medianUm)} µm</Figure>
            <Quiet>median of {plural(count, 'cell')}</Quiet>
            {cell !== null && <strong>an Amphidinium would be the {cell} cell</strong>}
          </Line>
        )}
        {medianUm !== null && cell === null && (
          <p>
            Between {smallTo} and {largeFrom} µm: measure {more} more; the median of {CELLS_TO_MEASURE} is split at{' '}
            {split}.
          </p>
        )}
        {mayAnswer && (
          <div>
            <Button onPress={() => void subject.answer([{ sign: SMALL_CELL, answer }])}>
              Answer the sign: {cell === 'small' ? 'shorter' : 'not shorter'} than {smallTo} µm
            </Button>
          </div>
        )}
        {medianUm === null && problem === null && (
          <Small>{CELLS_TO_MEASURE} cells, for their median: it tells the large Amphidinium from the small one.</Small>
        )}
      </Stack>
    </section>
  )
}
