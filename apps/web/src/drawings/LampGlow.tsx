/** A lit lamp behind film: as much brighter than dark as light is left. */
export function LampGlow({ share, className }: { readonly share: number; readonly className: string }) {
  // The eye takes a third of the light for about two thirds of the brightness (CIE lightness).
  const seen = Math.max(0, 1.16 * Math.cbrt(share) - 0.16)
  return (
    <svg viewBox="0 0 40 40" className={className} aria-hidden="true">
      <rect width="40" height="40" fill="#1B2733" />
      <circle cx="20" cy="20" r="16" fill="#FFE9A8" opacity={seen} />
      <circle cx="20" cy="20" r="6" fill="#FFFFFF" opacity={seen} />
    </svg>
  )
}
