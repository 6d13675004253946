import type { Component } from 'svelte';
import type { Schemas } from '../lib/api';
import type { PlanIndex } from '../lib/plan-index';
import CanPanel from './CanPanel.svelte';
import CellularPanel from './CellularPanel.svelte';
import DmxPanel from './DmxPanel.svelte';
import InfraredPanel from './InfraredPanel.svelte';
import IpPanel from './IpPanel.svelte';
import KeyedPanel from './KeyedPanel.svelte';
import PacketPanel from './PacketPanel.svelte';
import SerialPanel from './SerialPanel.svelte';

type Panel = Schemas['LinkPanel'];

/** What a panel of one medium is given. */
export interface PanelProps<Key extends Panel['medium']> {
    figures: Extract<Panel, { medium: Key }>['figures'];
    link: Schemas['Link'];
    index: PlanIndex;
    medium: Schemas['Medium'];
}

/** The instrument panel of each medium. A new one is one line here. */
export const panels: { [Key in Panel['medium']]: Component<PanelProps<Key>> } = {
    'packet-radio': PacketPanel,
    infrared: InfraredPanel,
    'keyed-radio': KeyedPanel,
    can: CanPanel,
    dmx: DmxPanel,
    cellular: CellularPanel,
    ip: IpPanel,
    serial: SerialPanel,
};
