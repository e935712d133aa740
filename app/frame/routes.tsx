import { createBrowserRouter, type RouteObject } from 'react-router'
import { Ledger } from '../screens/ledger/Ledger.tsx'
import { appBase } from './base.ts'
import { Frame } from './Frame.tsx'
import { NothingHere, SomethingBroke } from './Fallbacks.tsx'

/** The ledger opens with the app; every other screen loads when it is opened. */
export function createRoutes() {
  const routes: RouteObject[] = [
    {
      element: <Frame />,
      errorElement: <SomethingBroke />,
      hydrateFallbackElement: <></>,
      children: [
        { index: true, element: <Ledger /> },
        { path: 'tanks', lazy: async () => ({ Component: (await import('../screens/tanks/Tanks.tsx')).Tanks }) },
        {
          path: 'tanks/new',
          lazy: async () => ({ Component: (await import('../screens/tanks/NewTank.tsx')).NewTank }),
        },
        {
          path: 'tanks/:tankId',
          lazy: async () => ({ Component: (await import('../screens/tanks/TankPage.tsx')).TankPage }),
        },
        {
          path: 'tanks/:tankId/add-animal',
          lazy: async () => ({ Component: (await import('../screens/tanks/AddAnimal.tsx')).AddAnimal }),
        },
        {
          path: 'arrivals',
          lazy: async () => ({ Component: (await import('../screens/arrivals/Arrivals.tsx')).Arrivals }),
        },
        {
          path: 'arrivals/new',
          lazy: async () => ({ Component: (await import('../screens/arrivals/ExpectBox.tsx')).ExpectBox }),
        },
        {
          path: 'arrivals/box/:boxId/change',
          lazy: async () => ({ Component: (await import('../screens/arrivals/ExpectBox.tsx')).ExpectBox }),
        },
        {
          path: 'arrivals/box/:boxId/:step?',
          lazy: async () => ({ Component: (await import('../screens/arrivals/BoxPage.tsx')).BoxPage }),
        },
        {
          path: 'arrivals/between',
          lazy: async () => ({ Component: (await import('../screens/arrivals/BetweenTanks.tsx')).BetweenTanks }),
        },
        {
          path: 'arrivals/run/:runId',
          lazy: async () => ({ Component: (await import('../screens/arrivals/RunPage.tsx')).RunPage }),
        },
        {
          path: 'arrivals/animal/:animalId',
          lazy: async () => ({ Component: (await import('../screens/arrivals/AnimalArrival.tsx')).AnimalArrival }),
        },
        {
          path: 'arrivals/together',
          lazy: async () => ({ Component: (await import('../screens/arrivals/NewTogether.tsx')).NewTogether }),
        },
        {
          path: 'arrivals/together/:introId',
          lazy: async () => ({ Component: (await import('../screens/arrivals/Together.tsx')).Together }),
        },
        {
          path: 'courses',
          lazy: async () => ({ Component: (await import('../screens/courses/Courses.tsx')).Courses }),
        },
        {
          path: 'courses/new',
          lazy: async () => ({ Component: (await import('../screens/courses/StartCourse.tsx')).StartCourse }),
        },
        {
          path: 'courses/:courseId',
          lazy: async () => ({ Component: (await import('../screens/courses/CoursePage.tsx')).CoursePage }),
        },
        { path: 'shelf', lazy: async () => ({ Component: (await import('../screens/shelf/Shelf.tsx')).Shelf }) },
        {
          path: 'shelf/new',
          lazy: async () => ({ Component: (await import('../screens/shelf/ProductPage.tsx')).ProductPage }),
        },
        {
          path: 'shelf/:productId',
          lazy: async () => ({ Component: (await import('../screens/shelf/ProductPage.tsx')).ProductPage }),
        },
        {
          path: 'dose/:calculator?',
          lazy: async () => ({ Component: (await import('../screens/dose/Dose.tsx')).Dose }),
        },
        {
          path: 'handbook/:chapter?',
          lazy: async () => ({ Component: (await import('../screens/handbook/Handbook.tsx')).Handbook }),
        },
        {
          path: 'records',
          lazy: async () => ({ Component: (await import('../screens/records/Records.tsx')).Records }),
        },
        { path: 'more', lazy: async () => ({ Component: (await import('../screens/more/More.tsx')).More }) },
        { path: '*', element: <NothingHere /> },
      ],
    },
  ]
  return createBrowserRouter(routes, { basename: appBase().pathname })
}
