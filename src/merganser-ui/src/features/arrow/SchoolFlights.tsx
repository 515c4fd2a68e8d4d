import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answer, api } from '../../api/client';
import { linePath, scale } from '../../drawing/chart';
import { useWidth } from '../../parts/useWidth';
import { Scroller, Table } from '../../parts/Table';
import { useFigures } from '../../units/UnitsContext';
import w from '../../parts/words.module.css';

const HEIGHT = 190;
const dashes = ['', '10 5', '2 5'];

/** Light, middle and heavy on their way: path, what arrives, and how far each is honest. */
export function SchoolFlights({ bowId, purpose }: { bowId: string; purpose: string }) {
  const { figure } = useFigures();
  const { ref, width } = useWidth<HTMLDivElement>(800);
  const flights = useQuery({
    queryKey: ['weights', bowId, 'flight', purpose],
    queryFn: () =>
      answer(api.GET('/api/bows/{id}/weights/flight', { params: { path: { id: bowId }, query: { purpose } } })),
    placeholderData: keepPreviousData,
  });
  const view = flights.data;
  if (!view || view.schools.length === 0) return <div ref={ref} />;
  const heights = view.schools.flatMap((school) => school.heights);
  const last = Math.max(...view.schools.map((school) => school.heights.length)) - 1;
  const x = scale(0, last, 20, width - 110);
  const y = scale(Math.min(...heights), Math.max(...heights), HEIGHT - 24, 26);
  const at = figure(view.at, 'yd', 0);
  return (
    <div ref={ref}>
      <h2>In flight, the sight set for {at}</h2>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`Three paths that meet at ${at}: ${view.schools
          .map((school) => `${school.name}, ${school.grains}, honest to ${school.honest}`)
          .join('; ')}`}
      >
        <rect width={width} height={HEIGHT} fill="var(--paper)" />
        <path d={`M20 ${y(0)}H${width - 110}`} stroke="var(--paper-ink)" strokeWidth="1.25" />
        <path d={`M${x(view.steps)} 18V${HEIGHT - 18}`} stroke="var(--paper-green)" strokeWidth="2.5" />
        <text x={x(view.steps)} y="14" fontSize="14" textAnchor="middle" fill="var(--paper-ink)">
          {at}
        </text>
        {view.schools.map((school, i) => (
          <g key={school.name}>
            <path
              d={linePath(school.heights.map((height, yards) => [x(yards), y(height)]))}
              fill="none"
              stroke="var(--paper-pred)"
              strokeWidth="3"
              strokeDasharray={dashes[i]}
            />
            <path
              d={`M${width - 96} ${40 + 26 * i}h26`}
              stroke="var(--paper-pred)"
              strokeWidth="3"
              strokeDasharray={dashes[i]}
            />
            <text x={width - 64} y={45 + 26 * i} fontSize="14" fill="var(--paper-ink)">
              {school.grains}
            </text>
          </g>
        ))}
      </svg>
      <Scroller label="What arrives">
        <Table>
          <thead>
            <tr>
              <th scope="col">at {at}</th>
              <th scope="col">weight</th>
              <th scope="col">speed</th>
              <th scope="col">energy</th>
              <th scope="col">momentum</th>
              <th scope="col">drift, {figure(10, 'mph', 0)}, at the least</th>
              <th scope="col">honest to</th>
            </tr>
          </thead>
          <tbody data-testid="school-flights">
            {view.schools.map((school) => (
              <tr key={school.name}>
                <th scope="row">{school.name}</th>
                <td className={w.tabular}>{school.grains}</td>
                <td className={w.tabular}>{school.speed}</td>
                <td className={w.tabular}>{school.energy}</td>
                <td className={w.tabular}>{school.momentum}</td>
                <td className={w.tabular}>{school.drift}</td>
                <td className={w.tabular}>
                  <b>{school.honest}</b>
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Scroller>
      <p className={w.muted}>The middle of each school’s weights on this bow. {view.words}</p>
    </div>
  );
}
