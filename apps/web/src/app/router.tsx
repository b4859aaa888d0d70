import { useWords } from '../ui/words.ts'
import { createBrowserRouter, type RouteObject } from 'react-router'
import { BayScreen } from '../screens/bay/BayScreen.tsx'
import { Frame } from '../screens/frame/Frame.tsx'
import { LostScreen } from '../screens/frame/LostScreen.tsx'
import { Busy } from '../ui/Failed.tsx'
import { readLaySheetAhead } from './readAhead.ts'

function Opening() {
  const t = useWords()
  return <Busy text={t`Opening`} />
}

/** Every address of the app and its screen. */
export const routes: RouteObject[] = [
  {
    path: '/',
    element: <Frame />,
    errorElement: <LostScreen />,
    hydrateFallbackElement: <Opening />,
    children: [
      { index: true, element: <BayScreen /> },
      {
        path: 'jobs',
        lazy: async () => ({ Component: (await import('../screens/jobs/JobsScreen.tsx')).JobsScreen }),
      },
      {
        path: 'jobs/new',
        lazy: async () => ({ Component: (await import('../screens/newJob/NewJobScreen.tsx')).NewJobScreen }),
      },
      {
        path: 'jobs/:jobId',
        lazy: async () => {
          const { JobFrame } = await import('../screens/job/JobFrame.tsx')
          readLaySheetAhead()
          return { Component: JobFrame }
        },
        children: [
          {
            index: true,
            lazy: async () => ({ Component: (await import('../screens/job/JobScreen.tsx')).JobScreen }),
          },
          {
            path: 'walk-round',
            lazy: async () => ({
              Component: (await import('../screens/walkRound/WalkRoundScreen.tsx')).WalkRoundScreen,
            }),
          },
          {
            path: 'kit',
            lazy: async () => ({ Component: (await import('../screens/kit/KitScreen.tsx')).KitScreen }),
          },
          {
            path: 'cut',
            lazy: async () => ({ Component: (await import('../screens/cut/CutScreen.tsx')).CutScreen }),
          },
          {
            path: 'lay-sheets/:partId',
            lazy: async () => ({ Component: (await import('../screens/laySheet/SheetFrame.tsx')).SheetFrame }),
            children: [
              {
                lazy: async () => ({ Component: (await import('../screens/laySheet/LaidFrame.tsx')).LaidFrame }),
                children: [
                  {
                    index: true,
                    lazy: async () => ({
                      Component: (await import('../screens/laySheet/LaySheetScreen.tsx')).LaySheetScreen,
                    }),
                  },
                  {
                    path: 'heat',
                    lazy: async () => ({ Component: (await import('../screens/heat/HeatScreen.tsx')).HeatScreen }),
                  },
                  {
                    path: 'edges',
                    lazy: async () => ({ Component: (await import('../screens/edges/EdgesScreen.tsx')).EdgesScreen }),
                  },
                ],
              },
              {
                path: 'light',
                lazy: async () => ({ Component: (await import('../screens/light/LightScreen.tsx')).LightScreen }),
              },
              {
                path: 'rehearsal',
                lazy: async () => ({
                  Component: (await import('../screens/rehearsal/RehearsalScreen.tsx')).RehearsalScreen,
                }),
              },
            ],
          },
          {
            path: 'waits',
            lazy: async () => ({ Component: (await import('../screens/waits/WaitsScreen.tsx')).WaitsScreen }),
          },
          {
            path: 'hand-over',
            lazy: async () => ({ Component: (await import('../screens/handOver/HandOverScreen.tsx')).HandOverScreen }),
          },
          {
            path: 'record/:partId',
            lazy: async () => ({ Component: (await import('../screens/record/RecordScreen.tsx')).RecordScreen }),
          },
        ],
      },
      {
        path: 'shelf',
        lazy: async () => ({ Component: (await import('../screens/shelf/ShelfScreen.tsx')).ShelfScreen }),
      },
      {
        path: 'shelf/removed',
        lazy: async () => ({ Component: (await import('../screens/shelf/RemovedScreen.tsx')).RemovedScreen }),
      },
      {
        path: 'shelf/pieces/:pieceId',
        lazy: async () => ({ Component: (await import('../screens/shelf/PieceScreen.tsx')).PieceScreen }),
      },
      {
        path: 'shelf/films/new',
        lazy: async () => ({ Component: (await import('../screens/shelf/NewFilmScreen.tsx')).NewFilmScreen }),
      },
      {
        path: 'shelf/films/:filmId',
        lazy: async () => ({ Component: (await import('../screens/shelf/FilmScreen.tsx')).FilmScreen }),
      },
      {
        path: 'shelf/import',
        lazy: async () => ({ Component: (await import('../screens/shelf/ImportScreen.tsx')).ImportScreen }),
      },
      {
        path: 'mixing',
        lazy: async () => ({ Component: (await import('../screens/mixing/MixingScreen.tsx')).MixingScreen }),
      },
      {
        path: 'practice',
        lazy: async () => ({ Component: (await import('../screens/practice/PracticeScreen.tsx')).PracticeScreen }),
      },
      {
        path: 'practice/:kind',
        lazy: async () => ({ Component: (await import('../screens/practice/ExerciseScreen.tsx')).ExerciseScreen }),
      },
      {
        path: 'shelf/rolls',
        lazy: async () => ({ Component: (await import('../screens/stock/RollsScreen.tsx')).RollsScreen }),
      },
      {
        path: 'shelf/rolls/new',
        lazy: async () => ({ Component: (await import('../screens/stock/NewRollScreen.tsx')).NewRollScreen }),
      },
      {
        path: 'shelf/rolls/:rollId',
        lazy: async () => ({ Component: (await import('../screens/stock/RollScreen.tsx')).RollScreen }),
      },
      {
        path: 'shelf/blades',
        lazy: async () => ({ Component: (await import('../screens/shelf/BladeBookScreen.tsx')).BladeBookScreen }),
      },
      {
        path: 'models',
        lazy: async () => ({ Component: (await import('../screens/models/ModelsScreen.tsx')).ModelsScreen }),
      },
      {
        path: 'models/:modelId/known',
        lazy: async () => ({ Component: (await import('../screens/models/KnownScreen.tsx')).KnownScreen }),
      },
      {
        path: 'models/:modelId',
        lazy: async () => ({ Component: (await import('../screens/models/ModelScreen.tsx')).ModelScreen }),
      },
      {
        path: 'forms',
        lazy: async () => ({ Component: (await import('../screens/forms/FormsScreen.tsx')).FormsScreen }),
      },
      {
        path: 'forms/:formId',
        lazy: async () => ({ Component: (await import('../screens/forms/FormScreen.tsx')).FormScreen }),
      },
      {
        path: 'shop/guns/:gunId',
        lazy: async () => ({ Component: (await import('../screens/shop/GunScreen.tsx')).GunScreen }),
      },
      {
        path: 'tablet',
        lazy: async () => ({ Component: (await import('../screens/tablet/TabletScreen.tsx')).TabletScreen }),
      },
      {
        path: 'guide/:page?',
        lazy: async () => ({ Component: (await import('../screens/guide/GuideScreen.tsx')).GuideScreen }),
      },
      {
        path: 'shop/plotter',
        lazy: async () => ({ Component: (await import('../screens/shop/TruePlotterScreen.tsx')).TruePlotterScreen }),
      },
      {
        path: 'shop/changes',
        lazy: async () => ({ Component: (await import('../screens/shop/ChangesScreen.tsx')).ChangesScreen }),
      },
      { path: 'shop', lazy: async () => ({ Component: (await import('../screens/shop/ShopScreen.tsx')).ShopScreen }) },
      { path: '*', element: <LostScreen /> },
    ],
  },
  {
    path: '/jobs/:jobId/fit/:partId',
    errorElement: <LostScreen />,
    hydrateFallbackElement: <Opening />,
    lazy: async () => ({ Component: (await import('../screens/fit/FitScreen.tsx')).FitScreen }),
  },
]

export const router = createBrowserRouter(routes)
