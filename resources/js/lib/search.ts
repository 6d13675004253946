import type { Finding, Schemas } from './api';
import type { PlanIndex } from './plan-index';

export interface Hit {
    title: string;
    what: string;
    kind: Schemas['Spot']['kind'];
    id: string;
}

/** Everything in a plan that has a name, an address or a code. */
export function searchable(index: PlanIndex, findings: Finding[]): Hit[] {
    const node = (id: string): string => index.node(id)?.name ?? '';
    const { document } = index;
    return [
        ...index.places.map((place) => ({ title: place.name, what: 'place', kind: 'place' as const, id: place.id })),
        ...index.nodes.map((one) => ({ title: one.name, what: one.kind, kind: 'node' as const, id: one.id })),
        ...[...document.ownBoards, ...document.ownModules].map((own, at) => ({
            title: own.name,
            what: 'own part',
            kind: at < document.ownBoards.length ? ('ownBoard' as const) : ('ownModule' as const),
            id: own.id,
        })),
        ...document.protocols.map((one) => ({
            title: one.name,
            what: 'what a device speaks',
            kind: 'protocol' as const,
            id: one.id,
        })),
        ...document.fixtureTypes.map((one) => ({
            title: one.name,
            what: 'fixture',
            kind: 'fixtureType' as const,
            id: one.id,
        })),
        ...document.cables.map((one) => ({ title: one.name, what: 'cable', kind: 'cable' as const, id: one.id })),
        ...index.links.map((link) => ({ title: link.name, what: 'link', kind: 'link' as const, id: link.id })),
        ...document.controls.map((one) => ({
            title: `${node(one.nodeId)} · ${one.name}`,
            what: one.kind,
            kind: 'control' as const,
            id: one.id,
        })),
        ...document.outputs.map((one) => ({
            title: `${node(one.nodeId)} · ${one.name}`,
            what: one.load || one.kind,
            kind: 'output' as const,
            id: one.id,
        })),
        ...document.loads.map((one) => ({
            title: one.name,
            what: one.outlet === '' ? 'load' : `load, outlet ${one.outlet}`,
            kind: 'load' as const,
            id: one.id,
        })),
        ...document.circuits.map((one) => ({ title: one.name, what: 'circuit', kind: 'circuit' as const, id: one.id })),
        ...document.modules.map((one) => ({
            title: `${node(one.nodeId)} · ${one.name}`,
            what: 'module',
            kind: 'module' as const,
            id: one.id,
        })),
        ...document.addresses
            .filter((one) => one.value !== null)
            .map((one) => ({
                title: `${one.value}`,
                what: `address of ${node(index.endpoint(one.endpointId)?.nodeId ?? '')}`,
                kind: 'address' as const,
                id: one.id,
            })),
        ...document.hops
            .filter((one) => one.code !== null)
            .map((one) => ({
                title: `0x${(one.code ?? 0).toString(16).toUpperCase().padStart(2, '0')}`,
                what: `code over ${index.link(one.linkId)?.name ?? ''}`,
                kind: 'hop' as const,
                id: one.id,
            })),
        ...findings.map((one) => ({ title: one.title, what: one.severity, kind: one.at.kind, id: one.at.id })),
    ];
}

/** Those that hold every word that was typed, names that begin with it first. */
export function search(all: Hit[], typed: string, most = 12): Hit[] {
    const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
    if (words.length === 0) {
        return [];
    }
    const text = (hit: Hit): string => `${hit.title} ${hit.what}`.toLowerCase();
    const begins = (hit: Hit): number => (hit.title.toLowerCase().startsWith(words[0] ?? '') ? 0 : 1);
    return all
        .filter((hit) => words.every((word) => text(hit).includes(word)))
        .sort((a, b) => begins(a) - begins(b))
        .slice(0, most);
}
