import type { PlanDocument, Schemas } from './api';

/** Look-ups over a plan's document. Nothing is computed here that the core should know. */
export class PlanIndex {
    readonly places: Schemas['Place'][];
    readonly nodes: Schemas['Node'][];
    readonly links: Schemas['Link'][];
    private readonly byId = new Map<string, unknown>();
    private readonly groups = new Map<string, Map<string, unknown[]>>();

    constructor(readonly document: PlanDocument) {
        this.places = inOrder(document.places);
        this.nodes = inOrder(document.nodes);
        this.links = inOrder(document.links);
        for (const list of Object.values(document)) {
            if (Array.isArray(list)) {
                for (const thing of list) {
                    this.byId.set(thing.id, thing);
                }
            }
        }
    }

    node(id: string): Schemas['Node'] | undefined {
        return this.byId.get(id) as Schemas['Node'] | undefined;
    }

    link(id: string): Schemas['Link'] | undefined {
        return this.byId.get(id) as Schemas['Link'] | undefined;
    }

    endpoint(id: string): Schemas['Endpoint'] | undefined {
        return this.byId.get(id) as Schemas['Endpoint'] | undefined;
    }

    control(id: string): Schemas['Control'] | undefined {
        return this.byId.get(id) as Schemas['Control'] | undefined;
    }

    output(id: string): Schemas['Output'] | undefined {
        return this.byId.get(id) as Schemas['Output'] | undefined;
    }

    route(id: string): Schemas['Route'] | undefined {
        return this.byId.get(id) as Schemas['Route'] | undefined;
    }

    module(id: string): Schemas['Module'] | undefined {
        return this.byId.get(id) as Schemas['Module'] | undefined;
    }

    placeName(id: string | null): string {
        return (this.byId.get(id ?? '') as Schemas['Place'] | undefined)?.name ?? 'Nowhere yet';
    }

    modulesOf(nodeId: string): Schemas['Module'][] {
        return this.grouped(
            'modules',
            () => inOrder(this.document.modules),
            (one) => one.nodeId,
            nodeId,
        );
    }

    supply(id: string): Schemas['Supply'] | undefined {
        return this.byId.get(id) as Schemas['Supply'] | undefined;
    }

    cable(id: string): Schemas['Cable'] | undefined {
        return this.byId.get(id) as Schemas['Cable'] | undefined;
    }

    get cables(): Schemas['Cable'][] {
        return inOrder(this.document.cables);
    }

    suppliesOf(nodeId: string): Schemas['Supply'][] {
        return this.grouped(
            'supplies',
            () => inOrder(this.document.supplies),
            (one) => one.nodeId,
            nodeId,
        );
    }

    partsOf(moduleId: string): Schemas['Part'][] {
        return this.grouped(
            'parts',
            () => inOrder(this.document.parts),
            (one) => one.moduleId,
            moduleId,
        );
    }

    controlsOf(nodeId: string): Schemas['Control'][] {
        return this.grouped(
            'controls',
            () => inOrder(this.document.controls),
            (one) => one.nodeId,
            nodeId,
        );
    }

    outputsOf(nodeId: string): Schemas['Output'][] {
        return this.grouped(
            'outputs',
            () => inOrder(this.document.outputs),
            (one) => one.nodeId,
            nodeId,
        );
    }

    keyCodesOf(nodeId: string): Schemas['KeyCode'][] {
        return this.grouped(
            'keyCodes',
            () => inOrder(this.document.keyCodes),
            (one) => one.nodeId,
            nodeId,
        );
    }

    endpointsOn(linkId: string): Schemas['Endpoint'][] {
        return this.grouped(
            'endpoints',
            () => inOrder(this.document.endpoints),
            (one) => one.linkId,
            linkId,
        );
    }

    addressesOf(endpointId: string): Schemas['Address'][] {
        return this.grouped(
            'addresses',
            () => [...this.document.addresses].sort((a, b) => a.pipe - b.pipe),
            (one) => one.endpointId,
            endpointId,
        );
    }

    /**
     * The node that a finding or proposal about a thing belongs to, and the step where it is mended: what it is about says
     * that, unless it is a matter of pins and power.
     */
    whereabouts(kind: Schemas['Spot']['kind'], id: string, on?: string): { step: string; item?: string } {
        const thing = this.byId.get(id) as Record<string, string | null> | undefined;
        if (on === 'safe' && kind === 'output') {
            return { step: 'safe', item: id };
        }
        if (on === 'power' && (kind === 'node' || kind === 'module')) {
            return { step: 'power', item: (kind === 'node' ? id : thing?.['nodeId']) ?? undefined };
        }
        switch (kind) {
            case 'node':
                return { step: 'nodes', item: id };
            case 'ownBoard':
            case 'ownModule':
            case 'protocol':
            case 'fixtureType':
                return { step: 'own', item: id };
            case 'load':
                return { step: 'safe', item: 'loads' };
            case 'circuit':
                return { step: 'safe', item: 'circuits' };
            case 'module':
            case 'control':
            case 'output':
            case 'keyCode':
                return { step: 'nodes', item: thing?.['nodeId'] ?? undefined };
            case 'pinUse':
                return { step: 'power', item: this.onTab(thing?.['moduleId'], 'pins') };
            case 'part':
                return { step: 'power', item: this.onTab(thing?.['moduleId'], 'levels') };
            case 'supply':
                return { step: 'power', item: thing?.['nodeId'] ?? undefined };
            case 'cable':
                return { step: 'power', item: thing?.['fromId'] ? `${thing['fromId']}.cables` : undefined };
            case 'link':
                return { step: 'links', item: id };
            case 'endpoint':
                return { step: 'links', item: thing?.['linkId'] ?? undefined };
            case 'busMessage':
            case 'address':
                return { step: 'links', item: this.endpoint(thing?.['endpointId'] ?? '')?.linkId };
            case 'route':
                return { step: 'routes', item: id };
            case 'hop':
                return { step: 'routes', item: thing?.['routeId'] ?? undefined };
            case 'plan':
            case 'place':
            case 'acceptance':
                return { step: 'site' };
        }
    }

    private onTab(moduleId: string | null | undefined, tab: string): string | undefined {
        const nodeId = this.module(moduleId ?? '')?.nodeId;
        return nodeId === undefined ? undefined : `${nodeId}.${tab}`;
    }

    /** Those of one owner, sorted into groups when first asked for: a large plan asks for each of hundreds of owners. */
    private grouped<T>(name: string, inTurn: () => T[], owner: (one: T) => string, id: string): T[] {
        let groups = this.groups.get(name) as Map<string, T[]> | undefined;
        if (groups === undefined) {
            groups = new Map();
            for (const one of inTurn()) {
                const group = groups.get(owner(one));
                if (group === undefined) {
                    groups.set(owner(one), [one]);
                } else {
                    group.push(one);
                }
            }
            this.groups.set(name, groups);
        }
        return groups.get(id) ?? [];
    }

    nextOrder(list: { order: number }[]): number {
        return list.reduce((highest, thing) => Math.max(highest, thing.order + 1), 0);
    }
}

function inOrder<T extends { id: string; order: number }>(list: T[]): T[] {
    return [...list].sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1));
}
