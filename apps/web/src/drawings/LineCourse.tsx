import { LineChart } from 'echarts/charts'
import { GridComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components'
import * as echarts from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { useEffect, useRef } from 'react'

echarts.use([LineChart, GridComponent, MarkAreaComponent, MarkLineComponent, SVGRenderer])

export interface CourseLine {
  readonly name: string
  readonly points: readonly (readonly [x: number, y: number])[]
  /** A colour of the theme, for example `--petrol`. */
  readonly color: string
  readonly dashed?: boolean
}

interface LineCourseProps {
  readonly label: string
  readonly lines: readonly CourseLine[]
  readonly xName: string
  /** Shows a place on the lower axis; left out = the bare number. */
  readonly xText?: ((x: number) => string) | undefined
  readonly yName: string
  readonly yText?: ((y: number) => string) | undefined
  readonly yRange?: readonly [number, number] | undefined
  /** A band that the line should come into. */
  readonly band?: { readonly from: number; readonly to: number; readonly text: string } | undefined
  /** Levels across. */
  readonly levels?:
    | readonly { readonly at: number; readonly text: string; readonly color: string; readonly below?: boolean }[]
    | undefined
  /** Moments down. */
  readonly moments?: readonly { readonly at: number; readonly text: string }[] | undefined
}

/** A few lines over time or distance, with a band, levels and moments; drawn as SVG in the colours of the theme. */
export function LineCourse(props: LineCourseProps) {
  const place = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (place.current === null) return
    const chart = echarts.init(place.current, undefined, { renderer: 'svg' })
    chart.setOption(optionsOf(props))
    const watch = new ResizeObserver(() => chart.resize())
    watch.observe(place.current)
    return () => {
      watch.disconnect()
      chart.dispose()
    }
  }, [props])
  // The lines follow their place a frame later; until then they may not widen the page.
  return <div ref={place} role="img" aria-label={props.label} className="size-full overflow-hidden" />
}

const theme = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()

function optionsOf({ lines, xName, xText, yName, yText, yRange, band, levels = [], moments = [] }: LineCourseProps) {
  const text = { color: theme('--quiet'), fontFamily: 'Barlow Semi Condensed', fontSize: 14 }
  const line = { lineStyle: { color: theme('--hair') } }
  return {
    animation: false,
    grid: { left: 8, right: 20, top: 30, bottom: 30, containLabel: true },
    xAxis: {
      type: 'value' as const,
      name: xName,
      nameLocation: 'middle' as const,
      nameGap: 28,
      nameTextStyle: text,
      min: 'dataMin' as const,
      max: 'dataMax' as const,
      axisLabel: {
        ...text,
        hideOverlap: true,
        showMaxLabel: false,
        ...(xText ? { formatter: (x: number) => xText(x) } : {}),
      },
      axisLine: line,
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value' as const,
      name: yName,
      nameTextStyle: { ...text, align: 'left' as const },
      ...(yRange ? { min: yRange[0], max: yRange[1] } : { scale: true }),
      axisLabel: { ...text, ...(yText ? { formatter: (y: number) => yText(y) } : {}) },
      splitLine: line,
    },
    series: lines.map(({ name, points, color, dashed }, i) => ({
      name,
      type: 'line' as const,
      data: points.map((p) => [...p]),
      showSymbol: false,
      silent: true,
      lineStyle: {
        color: theme(color),
        width: dashed ? 2 : 3,
        type: dashed ? ('dashed' as const) : ('solid' as const),
      },
      itemStyle: { color: theme(color) },
      endLabel: { show: false },
      ...(i > 0
        ? {}
        : {
            markArea:
              band === undefined
                ? undefined
                : {
                    silent: true,
                    itemStyle: { color: theme('--good'), opacity: 0.16 },
                    label: { ...text, color: theme('--good'), position: 'insideTopLeft' as const },
                    data: [[{ yAxis: band.from, name: band.text }, { yAxis: band.to }]] as [
                      { yAxis: number; name: string },
                      { yAxis: number },
                    ][],
                  },
            markLine: {
              silent: true,
              symbol: 'none',
              data: [
                ...levels.map((level) => ({
                  yAxis: level.at,
                  lineStyle: { color: theme(level.color), type: 'solid' as const, width: 2 },
                  label: {
                    ...text,
                    color: theme(level.color),
                    formatter: level.text,
                    position: (level.below ? 'insideEndBottom' : 'insideEndTop') as 'insideEndTop',
                    distance: [4, 9],
                  },
                })),
                ...moments.map((moment) => ({
                  xAxis: moment.at,
                  lineStyle: { color: theme('--quiet'), type: 'dotted' as const, width: 1.5 },
                  label: { ...text, formatter: moment.text, position: 'end' as const, rotate: 0, distance: 8 },
                })),
              ],
            },
          }),
    })),
  }
}
