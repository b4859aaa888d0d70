import type { Plot } from './plot.ts'

const figure = (mm: number) => mm.toFixed(2)

/** What was cut, in its true size: a ruler laid on a print of this page measures the piece. */
export const plotPage = (plots: readonly Plot[], rollWidthMm: number) => `<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Stand-in plotter</title>
<style>
body{font:18px/1.5 system-ui,sans-serif;margin:2rem auto;padding:0 1rem;background:#f7f6f2;color:#1b2733}
svg{background:#fff;border:1px solid #d8d6ce;display:block}path{fill:none;stroke:#0b5563;stroke-width:.6}
</style>
<h1>Stand-in plotter</h1>
${plots.length === 0 ? '<p>Nothing has been cut.</p>' : plots.map((plot) => section(plot, rollWidthMm)).join('\n')}
</html>`

const section = ({ at, lines, lengthMm }: Plot, rollWidthMm: number) => `<section>
<h2>${at.slice(0, 16).replace('T', ' ')}: ${lines.length} lines on ${Math.ceil(lengthMm)} mm of roll</h2>
<svg width="${figure(lengthMm + 10)}mm" height="${figure(rollWidthMm)}mm" viewBox="0 0 ${figure(lengthMm + 10)} ${figure(rollWidthMm)}">
${lines.map((line) => `<path d="${line.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${figure(x)} ${figure(rollWidthMm - y)}`).join('')}"/>`).join('')}
</svg></section>`
