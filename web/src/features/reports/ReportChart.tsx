import { Box, useMediaQuery, useTheme } from '@mui/material';
import { BarChart } from '@mui/x-charts/BarChart';
import { LineChart } from '@mui/x-charts/LineChart';
import type { Report } from '../../shared/api';
import { axisWords, drawn, rowWords, timeTicks, valueWords } from './model/values';
import type { Asked } from './ReportTable';

interface Props {
  report: Report;
  onAsk?: ((asked: Asked) => void) | undefined;
}

const HEIGHT = 250;
/** On paper, so that letters are as large as in the table. */
const PAPER_WIDTH = 700;
const MOST_BARS = 30;
const SHAPES = ['circle', 'square', 'diamond'] as const;
const HATCHES = ['none', 'lines', 'dots'] as const;

/** The figures drawn: times as lines with a shape each, counts as bars with a pattern each. */
export function ReportChart({ report, onAsk }: Props) {
  const onPaper = useMediaQuery('print');
  const inks = useTheme().vars?.palette.inks;
  const columns = drawn(report);
  const rows = isTime(report) ? report.rows : report.rows.slice(0, MOST_BARS);
  const unit = report.columns[columns[0] ?? 0];
  const timed = unit?.unit === 'SECONDS';
  const most = Math.max(0, ...rows.flatMap((row) => columns.map((column) => row.values[column] ?? 0)));
  const colours = [inks?.pine ?? '', inks?.slate ?? '', inks?.saffron ?? ''];
  const ask = (index: number | undefined) => {
    const row = index === undefined ? undefined : rows[index];
    if (row && onAsk) onAsk({ key: row.key, label: rowWords(report.by, row.key, row.label), late: false });
  };
  const labels = rows.map((row) => axisWords(report.by, row.key, row.label));
  const axis = {
    id: 'rows',
    data: rows.map((row) => row.key),
    valueFormatter: (key: string) => labels[rows.findIndex((row) => row.key === key)] ?? key,
  };
  const common = {
    height: HEIGHT,
    ...(onPaper && { width: PAPER_WIDTH }),
    skipAnimation: true,
    hideLegend: columns.length < 2,
    grid: { horizontal: true },
    margin: { left: 4, right: 24, top: 8, bottom: 4 },
    slotProps: {
      legend: {
        direction: 'horizontal' as const,
        position: { vertical: 'top' as const, horizontal: 'start' as const },
      },
    },
    yAxis: [
      {
        width: 64,
        valueFormatter: (value: number) => (unit ? valueWords(value, unit) : ''),
        ...(timed ? { tickInterval: timeTicks(most) } : {}),
      },
    ],
  };
  const series = columns.map((column, i) => {
    const of = report.columns[column] ?? { name: '', unit: 'COUNT' as const };
    return {
      id: String(column),
      label: of.name,
      data: rows.map((row) => row.values[column] ?? null),
      valueFormatter: (value: number | null) => valueWords(value, of),
      color: colours[i % colours.length] ?? '',
    };
  });
  return (
    <Box
      role="img"
      aria-label="The same figures as the table below, drawn"
      data-testid="chart"
      sx={{
        '& text': { typography: 'axis' },
        '@media print': {
          '& .MuiChartsSurface-root': { height: 'auto !important' },
          '& svg': { height: 'auto !important', position: 'static !important' },
        },
      }}
    >
      {timed && isTime(report) ? (
        <LineChart
          {...common}
          xAxis={[{ ...axis, scaleType: 'point' }]}
          series={series.map((one, i) => ({
            ...one,
            curve: 'linear' as const,
            connectNulls: false,
            showMark: true,
            shape: SHAPES[i % SHAPES.length] ?? 'circle',
          }))}
          onAxisClick={(_, data) => ask(data?.dataIndex)}
        />
      ) : (
        <BarChart
          {...common}
          xAxis={[{ ...axis, scaleType: 'band', categoryGapRatio: 0.35 }]}
          series={series.map((one, i) => ({
            ...one,
            color: i === 0 ? one.color : `url(#hatch-${HATCHES[i % HATCHES.length] ?? ''})`,
          }))}
          onAxisClick={(_, data) => ask(data?.dataIndex)}
        >
          <defs>
            <pattern id="hatch-lines" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <rect width="6" height="6" fill={inks?.sheet} />
              <line x1="0" y1="0" x2="0" y2="6" stroke={colours[1]} strokeWidth="5" />
            </pattern>
            <pattern id="hatch-dots" width="5" height="5" patternUnits="userSpaceOnUse">
              <rect width="5" height="5" fill={inks?.sheet} />
              <circle cx="2.5" cy="2.5" r="1.6" fill={colours[2]} />
            </pattern>
          </defs>
        </BarChart>
      )}
    </Box>
  );
}

function isTime({ by }: Report): boolean {
  return by === 'DAY' || by === 'WEEK' || by === 'MONTH';
}
