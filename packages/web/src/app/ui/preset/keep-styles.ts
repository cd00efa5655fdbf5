import { Base } from 'primeng/base';

/**
 * The theme never changes here: our own tokens switch its colours. So the styles of a part stay known once they are on the
 * page. Without this each part that is made forgets them all, and the next one writes them anew: half of its cost.
 */
export function keepStyles(): void {
  Base.clearLoadedStyleNames = () => undefined;
}
