// The jobs of the demo, as arguments of the server. The last to be added stands first in the list.
const DEMO_JOBS = ['sample-boards', 'ferry-kiosk', 'tidewater-bakehouse'];

export const demoJobs = () => ['--with-site', ...DEMO_JOBS.flatMap((name) => ['--add-job', `demo/${name}.json`])];
