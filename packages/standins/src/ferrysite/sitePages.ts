/** What stands on the pages of the ferry company's own site. */
export const sitePages = {
  home: {
    title: 'Across the Sound of Orrin',
    body: `<p>Three ships, five harbours, every day of the year but one. The <i>Grey Heron</i>, the <i>Storm Petrel</i> and the
      <i>Little Auk</i> carry people, cars, bicycles, post and now and then a horse.</p>
      <p>Travel with us for the view, and come early for the tea.</p>`,
  },
  timetable: {
    title: 'Timetable',
    body: `<table><tr><th>From</th><th>To</th><th>First</th><th>Last</th></tr>
      <tr><td>Port Ellery</td><td>Dunmarrow</td><td>6:40</td><td>19:10</td></tr>
      <tr><td>Dunmarrow</td><td>Port Ellery</td><td>7:20</td><td>20:00</td></tr>
      <tr><td>Port Ellery</td><td>Inchgarth</td><td>8:00</td><td>17:40</td></tr></table>
      <p>In strong wind the captain decides at noon; what is cancelled stands here first.</p>`,
  },
  fares: {
    title: 'Fares',
    body: `<table><tr><th></th><th>Single</th><th>Return</th></tr><tr><td>Adult</td><td>9</td><td>16</td></tr>
      <tr><td>Child</td><td>4</td><td>7</td></tr><tr><td>Car and driver</td><td>29</td><td>54</td></tr></table>
      <p>Dogs travel free, on a lead and on the open deck.</p>`,
  },
  bikes: {
    title: 'Bicycles',
    body: `<p>Roll on with the foot passengers. Groups of six and more tell us a day before.</p>`,
  },
} as const
export type SitePage = keyof typeof sitePages
