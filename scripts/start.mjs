// npm start: installs what is missing, builds and serves the application, and prints its address.
import { join } from 'node:path';
import { build, installPackages, root, run } from './prepare.mjs';

installPackages();
build();
process.exit(run(join(root, 'node_modules', '.bin', 'tsx'), ['server/main.ts']));
