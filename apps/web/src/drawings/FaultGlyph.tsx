import type { FaultKind } from '@truelay/core/judge'
import type { ReactNode } from 'react'

const film = 'var(--film)'
const ink = 'var(--ink)'
const petrol = 'var(--petrol)'
const amber = 'var(--amber)'
const stop = 'var(--stop)'

/** The film from above with the part's edge below it, as every picture here begins. */
const Sheet = ({ children }: { readonly children?: ReactNode }) => (
  <>
    <rect x="4" y="4" width="56" height="40" fill={film} stroke={petrol} strokeWidth="2" />
    <line x1="0" y1="48" x2="64" y2="48" stroke={ink} strokeWidth="3" />
    {children}
  </>
)
/** Film and part cut through: the part below, the film's line above it. */
const Section = ({ line, children }: { readonly line: string; readonly children?: ReactNode }) => (
  <>
    <rect x="0" y="38" width="64" height="14" fill="var(--bench)" stroke={ink} strokeWidth="2" />
    <path d={line} fill="none" stroke={petrol} strokeWidth="4" strokeLinejoin="round" />
    {children}
  </>
)
const Dots = ({
  at,
  r = 1.8,
  fill = ink,
}: {
  readonly at: readonly (readonly [number, number])[]
  readonly r?: number
  readonly fill?: string
}) => (
  <>
    {at.map(([cx, cy]) => (
      <circle key={`${cx} ${cy}`} cx={cx} cy={cy} r={r} fill={fill} />
    ))}
  </>
)
const lines = (d: string, color = amber, width = 3) => (
  <path d={d} fill="none" stroke={color} strokeWidth={width} strokeLinecap="round" strokeLinejoin="round" />
)

/** What each fault looks like, in a few strokes. */
const pictures: Readonly<Record<FaultKind, ReactNode>> = {
  fingers: <Sheet>{lines('M14 44 L16 26 L18 44 M29 44 L31 22 L33 44 M44 44 L46 28 L48 44')}</Sheet>,
  crease: <Sheet>{lines('M12 10 L30 22 L34 18 L54 38', amber, 4)}</Sheet>,
  'overheated wrinkle': (
    <Sheet>{lines('M12 16 q5 -6 10 0 t10 0 t10 0 t10 0 M12 26 q5 -6 10 0 t10 0 t10 0 t10 0', stop)}</Sheet>
  ),
  'stuck to itself': (
    <>
      <path d="M6 44 V10 H44 L58 24 V44 Z" fill={film} stroke={petrol} strokeWidth="2" />
      <path d="M58 24 L36 30 L44 10" fill="var(--paper)" stroke={amber} strokeWidth="3" />
    </>
  ),
  'air bubble': <Section line="M0 36 H22 C26 20 38 20 42 36 H64">{lines('M28 14 L32 8 L36 14', amber, 2.5)}</Section>,
  'water bubble': (
    <Section line="M0 36 H18 C24 24 40 24 46 36 H64">
      <path d="M20 37 C26 28 38 28 44 37 Z" fill={petrol} fillOpacity="0.45" />
    </Section>
  ),
  haze: (
    <Sheet>
      <Dots
        at={[
          [16, 14],
          [26, 20],
          [38, 13],
          [48, 22],
          [20, 30],
          [32, 34],
          [44, 33],
          [52, 12],
          [12, 24],
        ]}
        r={4.5}
        fill="var(--paper)"
      />
    </Sheet>
  ),
  silvering: <Sheet>{lines('M10 36 C24 28 40 40 54 30', 'var(--paper)', 7)}</Sheet>,
  'dirt or hair': (
    <Sheet>
      {lines('M22 30 C28 14 38 34 44 16', ink, 2.5)}
      <Dots at={[[16, 18]]} r={3} />
    </Sheet>
  ),
  'dust under film': (
    <Sheet>
      <Dots
        at={[
          [12, 12],
          [22, 17],
          [33, 11],
          [45, 16],
          [54, 26],
          [16, 28],
          [27, 33],
          [39, 27],
          [49, 37],
        ]}
      />
    </Sheet>
  ),
  fingerprint: (
    <Sheet>
      {lines(
        'M26 34 V22 C26 14 38 14 38 22 V34 M30 34 V23 C30 20 34 20 34 23 V34 M22 34 V21 C22 9 42 9 42 21 V34',
        amber,
        2,
      )}
    </Sheet>
  ),
  'glue line': <Sheet>{lines('M12 12 V38 M20 10 V38 M28 12 V38 M36 10 V38 M44 12 V38 M52 10 V38', amber, 2)}</Sheet>,
  'stop line': <Sheet>{lines('M36 6 V42', amber, 4)}</Sheet>,
  'lifting edge': <Section line="M0 36 H36 C46 36 54 30 62 18">{lines('M48 36 L58 36', amber)}</Section>,
  'lifting after the cut': (
    <Section line="M0 36 H26 C34 36 38 32 42 24">{lines('M48 8 L44 20 M48 8 L56 16', ink, 2.5)}</Section>
  ),
  bridging: (
    <>
      <path
        d="M0 30 H18 C22 30 22 46 32 46 C42 46 42 30 46 30 H64 V52 H0 Z"
        fill="var(--bench)"
        stroke={ink}
        strokeWidth="2"
      />
      {lines('M0 26 H64', petrol, 4)}
      {lines('M32 31 V42', amber, 2.5)}
    </>
  ),
  'knife mark': (
    <Sheet>
      {lines('M8 40 H56', petrol, 2)}
      {lines('M14 46 L40 50', stop, 3)}
    </Sheet>
  ),
  'jagged cut': (
    <>
      <path
        d="M4 4 H60 V38 L52 42 L47 36 L40 43 L33 37 L26 44 L19 37 L12 43 L4 38 Z"
        fill={film}
        stroke={petrol}
        strokeWidth="2"
      />
    </>
  ),
  'uncut bridge': (
    <>
      <rect x="4" y="4" width="56" height="22" fill={film} stroke={petrol} strokeWidth="2" />
      <rect
        x="4"
        y="34"
        width="56"
        height="14"
        fill="var(--paper)"
        stroke={petrol}
        strokeWidth="2"
        strokeDasharray="4 3"
      />
      {lines('M30 26 V34', amber, 6)}
    </>
  ),
  'gap uneven': (
    <>
      <path d="M4 4 H60 V28 L4 40 Z" fill={film} stroke={petrol} strokeWidth="2" />
      {lines('M0 46 H64', ink)}
      {lines('M10 41 V45 M54 31 V45', amber, 2.5)}
    </>
  ),
  'off its mark': (
    <>
      <path d="M18 4 H60 V44 H18 Z" fill={film} stroke={petrol} strokeWidth="2" />
      {lines('M8 36 H24 M16 28 V44', ink)}
      {lines('M18 44 L16 36', amber, 4)}
    </>
  ),
  'chrome showing': (
    <>
      <rect x="0" y="30" width="64" height="18" fill="var(--paper)" stroke={ink} strokeWidth="2" />
      <rect x="0" y="8" width="64" height="22" fill={ink} />
      {lines('M4 39 H22 M30 39 H44', amber)}
    </>
  ),
  'colour seam showing': (
    <>
      <rect x="4" y="4" width="56" height="18" fill={film} stroke={petrol} strokeWidth="2" />
      <rect x="4" y="22" width="56" height="6" fill={stop} />
      <rect x="4" y="28" width="56" height="20" fill={film} stroke={petrol} strokeWidth="2" />
    </>
  ),
  'pattern warped': (
    <Sheet>{lines('M8 14 C24 6 36 24 56 12 M8 24 C24 14 36 36 56 22 M8 34 C24 26 36 44 56 32', amber, 2)}</Sheet>
  ),
  'grabbed too early': (
    <Section line="M0 24 H22 C28 24 28 36 34 36 H64">{lines('M44 30 L44 14 M38 20 L44 14 L50 20', amber)}</Section>
  ),
  'will not grab': <Section line="M0 26 H64">{lines('M8 32 q4 -4 8 0 t8 0 t8 0 t8 0 t8 0 t8 0', amber, 2.5)}</Section>,
  'torn piece': (
    <>
      <path
        d="M4 4 H60 V44 H40 L34 30 L38 22 L30 14 L28 24 L32 32 L26 44 H4 Z"
        fill={film}
        stroke={stop}
        strokeWidth="3"
      />
    </>
  ),
  'burnt film': (
    <Sheet>
      <circle cx="32" cy="24" r="12" fill={ink} fillOpacity="0.55" />
      <circle cx="32" cy="24" r="4" fill="var(--paper)" stroke={stop} strokeWidth="2" />
    </Sheet>
  ),
  'lens crazed': (
    <>
      <ellipse cx="32" cy="26" rx="28" ry="20" fill="var(--paper)" stroke={ink} strokeWidth="2" />
      {lines('M20 14 L30 24 L26 36 M30 24 L44 20 M44 32 L30 24', stop, 2)}
    </>
  ),
}

/** A fault as the eye meets it; words stand beside it. */
export const FaultGlyph = ({ fault, className = '' }: { readonly fault: FaultKind; readonly className?: string }) => (
  <svg viewBox="0 0 64 52" aria-hidden="true" className={className}>
    {pictures[fault]}
  </svg>
)
