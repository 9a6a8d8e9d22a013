import { styled, useColorScheme } from '@mui/material/styles';
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  type ChartConfiguration,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
} from 'chart.js';
import { useEffect, useRef } from 'react';

Chart.register(
  BarController,
  BarElement,
  CategoryScale,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
);

const Box = styled('div')(({ theme: { vars } }) => ({
  position: 'relative',
  height: 132,
  '--chart-line': vars?.palette.divider,
  '--chart-ink': vars?.palette.tokens.accent,
  '--chart-soft': vars?.palette.text.secondary,
}));

/** A curve with its axes; in words too, as a canvas tells a screen reader nothing. */
interface Props {
  /** What is drawn, in words. */
  readonly label: string;
  readonly kind: 'line' | 'bar';
  /** From left to right; words for bars, numbers for a line. */
  readonly points: readonly { readonly x: number | string; readonly y: number }[];
  readonly xTitle: string;
  readonly yTitle: string;
}

/** A curve or bars with named axes, in the colours of the theme. */
export function CurveChart({ label, kind, points, xTitle, yTitle }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { mode, systemMode } = useColorScheme();
  const scheme = mode === 'system' ? systemMode : mode;
  // biome-ignore lint/correctness/useExhaustiveDependencies: another scheme has other colours.
  useEffect(() => {
    if (!canvas.current) return;
    // A canvas knows no variables of the theme: they are read when it is drawn, and again in the other theme.
    const style = getComputedStyle(canvas.current);
    Chart.defaults.font.family = style.fontFamily;
    const [line, ink, soft] = ['--chart-line', '--chart-ink', '--chart-soft'].map((name) =>
      style.getPropertyValue(name),
    );
    const axis = (text: string) => ({
      title: { display: true, text, color: soft ?? '', font: { size: 11 } },
      ticks: { color: soft ?? '', font: { size: 11 }, maxTicksLimit: 7 },
      grid: { color: line ?? '' },
      border: { color: line ?? '' },
    });
    const config: ChartConfiguration<'line' | 'bar'> = {
      type: kind,
      data: {
        labels: kind === 'bar' ? points.map(({ x }) => String(x)) : [],
        datasets: [
          {
            data: kind === 'bar' ? points.map(({ y }) => y) : points.map(({ x, y }) => ({ x: Number(x), y })),
            borderColor: ink ?? '',
            backgroundColor: ink ?? '',
            borderWidth: 2,
            pointRadius: 0,
            borderRadius: 3,
          },
        ],
      },
      options: {
        // Drawn at once: it follows a number that is being typed.
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        events: [],
        scales: {
          x: { ...axis(xTitle), type: kind === 'bar' ? 'category' : 'linear' },
          y: { ...axis(yTitle), type: 'linear', beginAtZero: true, grace: '15%' },
        },
      },
    };
    // Made anew each time: small, and nothing of the one before stays.
    const chart = new Chart(canvas.current, config);
    return () => chart.destroy();
  }, [kind, points, xTitle, yTitle, scheme]);
  return (
    <Box>
      <canvas ref={canvas} role="img" aria-label={label} />
    </Box>
  );
}
