import { edgeName } from '@azulejo/core/messages/en/names';
import type { Drawing } from '@azulejo/core/plan/planned';

/** What an edge of a drawn surface is called in a sentence. */
export const edgeTitle = ({ traced }: Pick<Drawing, 'traced'>, id: string): string => edgeName(traced.names[id] ?? id);
