/** Until the screen that was asked for stands, ms. */
const firstMs = 800

/**
 * Fetches and reads the lay sheet's code while a job is looked at: the first sheet then opens as soon as those after it. What
 * cannot be had now is asked for again when a sheet is opened, and told there.
 */
export function readLaySheetAhead(): void {
  setTimeout(() => {
    void Promise.allSettled([
      import('../screens/laySheet/SheetFrame.tsx'),
      import('../screens/laySheet/LaidFrame.tsx'),
      import('../screens/laySheet/LaySheetScreen.tsx'),
      import('../drawings/PartView3D.tsx'),
    ])
  }, firstMs)
}
