// npm run build: the application into packages/web/dist and the hub into packages/hub/dist.
import { build, install, nodeVersion } from './steps.mjs';

nodeVersion();
install();
build();
