import { LineChart } from 'echarts/charts';
import { GridComponent, TooltipComponent } from 'echarts/components';
import { init, use as register, type EChartsCoreOption } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';

register([LineChart, GridComponent, TooltipComponent, SVGRenderer]);

interface ChartProps {
  readonly option: EChartsCoreOption;
  readonly label: string;
  readonly height: number;
}

/** A chart that fills its room. It is a picture: the table beside it says the same. */
export default function Chart({ option, label, height }: ChartProps) {
  const host = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = host.current!;
    const chart = init(element, null, { renderer: 'svg' });
    chart.setOption(option);
    const observer = new ResizeObserver(() => chart.resize());
    observer.observe(element);
    return () => {
      observer.disconnect();
      chart.dispose();
    };
  }, [option]);
  return <div ref={host} className="chart" style={{ height }} role="img" aria-label={label} />;
}
