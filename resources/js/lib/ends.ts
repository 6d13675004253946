import type { Schemas } from './api';
import type { PlanIndex } from './plan-index';
import { ulid } from './ulid';
import { add, change, workspace } from './workspace.svelte';

type Endpoint = Schemas['Endpoint'];

/** Puts a node on a link: with the first free part of it that serves the medium, in the role that the part, the node's kind or the medium suggests. */
export function joinLink(index: PlanIndex, link: Schemas['Link'], nodeId: string): void {
    const node = index.node(nodeId);
    const modules = workspace.catalogue?.modules ?? [];
    if (node === undefined) {
        return;
    }
    const part = index.modulesOf(nodeId).find((module) => {
        const chosen = modules.find((one) => one.key === module.class);
        return chosen?.medium === link.medium && !index.document.endpoints.some((end) => end.moduleId === module.id);
    });
    const only = modules.find((one) => one.key === part?.class)?.role;
    const usual = workspace.catalogue?.media.find((one) => one.key === link.medium)?.usualRole;
    const byKind: Record<string, string> = { handset: 'sends', remote: 'sends', fixture: 'receives', phone: 'both' };
    void workspace.edit(
        `Put ${node.name} on ${link.name}`,
        add('endpoint', ulid(), {
            linkId: link.id,
            nodeId,
            moduleId: part?.id ?? null,
            // What is carried speaks; on a line of wires, where each answers, it does both as all do.
            role: only ?? (node.kind === 'handset' && usual === 'both' ? usual : byKind[node.kind]) ?? usual,
            settings: {},
            order: index.nextOrder(index.endpointsOn(link.id)),
        }),
    );
}

export function changeEnd(
    index: PlanIndex,
    link: Schemas['Link'],
    end: Endpoint,
    label: string,
    values: Record<string, unknown>,
): void {
    void workspace.edit(
        `${label} of ${index.node(end.nodeId)?.name ?? ''} on ${link.name}`,
        change('endpoint', end.id, values),
    );
}

export const roles = [
    { value: 'sends', name: 'sends' },
    { value: 'receives', name: 'receives' },
    { value: 'both', name: 'both' },
];
