/** A bottle and its cap in a picture of 250 by 400: inside from 88 to 372 high, from 60 to 190 wide. */
export const BottleOutline = () => (
  <>
    <path
      d="M100 30h50v24c0 10 40 10 40 34v262c0 14-8 22-22 22H82c-14 0-22-8-22-22V88c0-24 40-24 40-34z"
      fill="none"
      stroke="var(--ink)"
      strokeWidth="4"
    />
    <rect x="96" y="12" width="58" height="20" fill="var(--ink)" />
  </>
)
