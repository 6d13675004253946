import type { Component } from 'svelte';
import type { Catalogue } from '../lib/api';
import type { Workspace } from '../lib/tables';
import type { PlanIndex } from '../lib/plan-index';
import Assign from './steps/Assign.svelte';
import Build from './steps/Build.svelte';
import Findings from './steps/Findings.svelte';
import History from './steps/History.svelte';
import LineMap from './steps/LineMap.svelte';
import Links from './steps/Links.svelte';
import Nodes from './steps/Nodes.svelte';
import Own from './steps/Own.svelte';
import Power from './steps/Power.svelte';
import Routes from './steps/Routes.svelte';
import SafeStates from './steps/SafeStates.svelte';
import Site from './steps/Site.svelte';

/** What every step is given. */
export interface StepProps {
    data: Workspace;
    index: PlanIndex;
    catalogue: Catalogue;
    planId: string;
    /** What the address names within the step: a node, a link, a route. */
    item: string;
}

interface Step {
    key: string;
    title: string;
    page: Component<StepProps>;
    number?: number;
    /** Takes the whole width: no findings beside it. */
    wide?: boolean;
    /** A rule stands before it. */
    ruled?: boolean;
}

/** In the order in which people work. */
export const steps: Step[] = [
    { key: 'map', title: 'Line map', page: LineMap },
    { key: 'site', title: 'Site', page: Site, number: 1, ruled: true },
    { key: 'nodes', title: 'Nodes', page: Nodes, number: 2 },
    { key: 'links', title: 'Links', page: Links, number: 3 },
    { key: 'routes', title: 'Routes', page: Routes, number: 4, wide: true },
    { key: 'power', title: 'Pins & power', page: Power, number: 5 },
    { key: 'safe', title: 'Safe states', page: SafeStates, number: 6, wide: true },
    { key: 'build', title: 'Build', page: Build, number: 8, wide: true },
    { key: 'own', title: 'Own parts', page: Own, wide: true },
    { key: 'assign', title: 'Assign', page: Assign, wide: true, ruled: true },
    { key: 'findings', title: 'Findings', page: Findings, wide: true },
    { key: 'history', title: 'History', page: History },
];
