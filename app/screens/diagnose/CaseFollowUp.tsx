import type { Case } from '../../../core/diagnosis/cases.ts'
import type { CaseRanking } from '../../../core/diagnosis/ranking.ts'
import { Heading, Small, Stack } from '../../look/text.ts'
import { keepPhotos } from '../../photos/keeping.ts'
import { PictureList } from '../../photos/PictureList.tsx'
import { usePicturesAbout } from '../../photos/Pictures.tsx'
import { TakePhoto } from '../../photos/TakePhoto.tsx'
import { Causes } from './CaseCauses.tsx'
import { Experiments } from './CaseExperiments.tsx'
import { OverTime } from './CaseOverTime.tsx'
import { JarOfCase } from './microscope/JarOfCase.tsx'
import { CloseCase } from './CloseCase.tsx'
import { useCaseKeeping } from './useCaseKeeping.tsx'

/** What is kept of a case beside its signs: causes, one change at a time, pictures, how the signs went, and its end. */
export function CaseFollowUp({ one, ranking, isOver }: { one: Case; ranking: CaseRanking; isOver: boolean }) {
  return (
    <>
      <Causes one={one} ranking={ranking} />
      <Experiments one={one} isOver={isOver} />
      {one.nightTest !== null && (
        <section>
          <Heading>The dark jar</Heading>
          <div style={{ paddingTop: 12 }}>
            <JarOfCase one={one} />
          </div>
        </section>
      )}
      <CasePictures one={one} />
      <OverTime one={one} />
      {one.ended === null && <CloseCase one={one} ranking={ranking} />}
    </>
  )
}

function CasePictures({ one }: { one: Case }) {
  const { run, note } = useCaseKeeping(one)
  const photos = usePicturesAbout(one.entryId)
  const { tankId, animalIds } = one.start
  return (
    <section>
      <Heading>Pictures</Heading>
      <Stack $gap={10} style={{ paddingTop: 10 }}>
        <PictureList photos={photos} alt="the case" />
        {one.ended === null && (
          <TakePhoto
            what="the case"
            onTaken={(photo) =>
              void run((household) =>
                keepPhotos(household, [photo], { tankId, about: one.entryId, animalIds: [...animalIds] }),
              )
            }
          />
        )}
        <Small>White light: the whole tank, the patch with a ruler, and close up.</Small>
        {note}
      </Stack>
    </section>
  )
}
