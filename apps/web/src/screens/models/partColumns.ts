/** A part, its form, its piece and its film side by side, in the list and in its head; on a narrower screen the part above the others. */
export const partColumns = 'gap-x-4 sm:grid-cols-3 lg:grid-cols-[1fr_1.2fr_1fr_1.1fr]'
