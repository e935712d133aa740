import { lazy, type ComponentType } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import { BrowserRouter, Route, Routes } from 'react-router'
import { Ledger } from '../screens/ledger/Ledger.tsx'
import { appBase } from './base.ts'
import { Frame } from './Frame.tsx'
import { SomethingBroke } from './SomethingBroke.tsx'

// One screen under two addresses is the same component, so that it stays mounted between them.
const ExpectBox = lazy(async () => ({ default: (await import('../screens/arrivals/ExpectBox.tsx')).ExpectBox }))
const NothingHere = lazy(async () => ({ default: (await import('./NothingHere.tsx')).NothingHere }))
const ProductPage = lazy(async () => ({ default: (await import('../screens/shelf/ProductPage.tsx')).ProductPage }))

/** The ledger opens with the app; every other screen loads when it is opened. */
const SCREENS: Record<string, ComponentType> = {
  tanks: lazy(async () => ({ default: (await import('../screens/tanks/Tanks.tsx')).Tanks })),
  'tanks/new': lazy(async () => ({ default: (await import('../screens/tanks/NewTank.tsx')).NewTank })),
  'tanks/:tankId': lazy(async () => ({ default: (await import('../screens/tanks/TankPage.tsx')).TankPage })),
  'tanks/:tankId/add-animal': lazy(async () => ({
    default: (await import('../screens/tanks/AddAnimal.tsx')).AddAnimal,
  })),
  'tanks/:tankId/corals': lazy(async () => ({ default: (await import('../screens/corals/Corals.tsx')).Corals })),
  arrivals: lazy(async () => ({ default: (await import('../screens/arrivals/Arrivals.tsx')).Arrivals })),
  'arrivals/new': ExpectBox,
  'arrivals/box/:boxId/change': ExpectBox,
  'arrivals/box/:boxId/:step?': lazy(async () => ({
    default: (await import('../screens/arrivals/BoxPage.tsx')).BoxPage,
  })),
  'arrivals/between': lazy(async () => ({
    default: (await import('../screens/arrivals/plan/BetweenTanks.tsx')).BetweenTanks,
  })),
  'arrivals/run/:runId': lazy(async () => ({ default: (await import('../screens/arrivals/run/RunPage.tsx')).RunPage })),
  'arrivals/animal/:animalId': lazy(async () => ({
    default: (await import('../screens/arrivals/AnimalArrival.tsx')).AnimalArrival,
  })),
  'arrivals/together': lazy(async () => ({
    default: (await import('../screens/arrivals/together/NewTogether.tsx')).NewTogether,
  })),
  'arrivals/together/:introId': lazy(async () => ({
    default: (await import('../screens/arrivals/together/Together.tsx')).Together,
  })),
  diagnose: lazy(async () => ({ default: (await import('../screens/diagnose/Diagnose.tsx')).Diagnose })),
  'diagnose/look': lazy(async () => ({ default: (await import('../screens/diagnose/Look.tsx')).Look })),
  'diagnose/microscope/:part?': lazy(async () => ({
    default: (await import('../screens/diagnose/microscope/Microscope.tsx')).Microscope,
  })),
  'diagnose/:caseId': lazy(async () => ({ default: (await import('../screens/diagnose/CasePage.tsx')).CasePage })),
  courses: lazy(async () => ({ default: (await import('../screens/courses/Courses.tsx')).Courses })),
  'courses/new': lazy(async () => ({
    default: (await import('../screens/courses/start/StartCourse.tsx')).StartCourse,
  })),
  'courses/compare': lazy(async () => ({
    default: (await import('../screens/courses/compare/Compare.tsx')).Compare,
  })),
  'courses/:courseId': lazy(async () => ({ default: (await import('../screens/courses/CoursePage.tsx')).CoursePage })),
  'water/:part?': lazy(async () => ({ default: (await import('../screens/water/Water.tsx')).Water })),
  bench: lazy(async () => ({ default: (await import('../screens/bench/Benches.tsx')).Benches })),
  'bench/begin/:procedureId': lazy(async () => ({
    default: (await import('../screens/bench/BeginPage.tsx')).BeginPage,
  })),
  vet: lazy(async () => ({ default: (await import('../screens/courses/VetPage.tsx')).VetPage })),
  'bench/:benchId': lazy(async () => ({ default: (await import('../screens/bench/BenchPage.tsx')).BenchPage })),
  shelf: lazy(async () => ({ default: (await import('../screens/shelf/Shelf.tsx')).Shelf })),
  'shelf/new': ProductPage,
  'shelf/:productId': ProductPage,
  'dose/:calculator?': lazy(async () => ({ default: (await import('../screens/dose/Dose.tsx')).Dose })),
  'handbook/:chapter?': lazy(async () => ({ default: (await import('../screens/handbook/Handbook.tsx')).Handbook })),
  records: lazy(async () => ({ default: (await import('../screens/records/Records.tsx')).Records })),
  'records/minder': lazy(async () => ({ default: (await import('../screens/records/Minder.tsx')).Minder })),
  more: lazy(async () => ({ default: (await import('../screens/more/More.tsx')).More })),
}

/** Every address of the app with its screen. */
export function AppRoutes() {
  return (
    <ErrorBoundary FallbackComponent={SomethingBroke}>
      <BrowserRouter basename={appBase().pathname}>
        <Routes>
          <Route element={<Frame />}>
            <Route index element={<Ledger />} />
            {Object.entries(SCREENS).map(([path, Screen]) => (
              <Route key={path} path={path} element={<Screen />} />
            ))}
            <Route path="*" element={<NothingHere />} />
          </Route>
        </Routes>
      </BrowserRouter>
    </ErrorBoundary>
  )
}
