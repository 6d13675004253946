<script lang="ts">
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { ulid } from '../../../lib/ulid';
    import { add, change, remove, workspace } from '../../../lib/workspace.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import FedFrom from '../power/FedFrom.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';

    let { node, index, catalogue }: { node: Schemas['Node']; index: PlanIndex; catalogue: Catalogue } = $props();
    const modules = $derived(index.modulesOf(node.id));
    /** What people call such a module, by what is on it; else by its group. */
    const shortNames: Record<string, string> = {
        lamp: 'Lamp',
        axis: 'Stick',
        pwm: 'Dimmer',
        servo: 'Servo',
        motor: 'Motors',
        strip: 'Strip',
        tone: 'Buzzer',
        radio: 'Radio',
        output: 'Relays',
        control: 'Keys',
    };
    const group = (key: string): Schemas['ModuleOffered'] | undefined =>
        catalogue.modules.find((one) => one.key === key);

    function addModule(key: string): void {
        const chosen = group(key);
        if (chosen !== undefined) {
            const base = shortNames[chosen.carries ?? ''] ?? shortNames[chosen.group] ?? 'Module';
            const taken = new Set(modules.map((module) => module.name));
            let name = base;
            for (let next = 2; taken.has(name); next++) {
                name = `${base} ${next}`;
            }
            void workspace.edit(
                `Add ${chosen.name} to ${node.name}`,
                add('module', ulid(), { nodeId: node.id, class: key, name, order: index.nextOrder(modules) }),
            );
        }
    }
</script>

<section class="sheet mt-3" aria-label="Modules">
    <table class="ledger">
        <thead
            ><tr
                ><th class="w-[24%]">Module</th><th>Class</th><th>Peak</th><th class="w-[24%]">Fed from</th><th
                    ><span class="sr-only">Remove</span></th
                ></tr
            ></thead
        >
        <tbody>
            {#each modules as module (module.id)}
                {@const chosen = group(module.class)}
                <tr>
                    <td
                        ><TextField
                            label="Name of the module"
                            quiet
                            value={module.name}
                            onsave={(name) =>
                                workspace.edit(
                                    `Rename ${module.name} to ${name}`,
                                    change('module', module.id, { name }),
                                )}
                        /></td
                    >
                    <td title={chosen?.advice}
                        >{chosen?.name}{#if chosen !== undefined && chosen.offered > 0}
                            <span class="text-soft flex items-center gap-1.5 text-[14px]"
                                >pins called <TextField
                                    quiet
                                    mono
                                    class="w-[52px]"
                                    label="Letter of the pins of {module.name}"
                                    value={module.prefix}
                                    placeholder="X"
                                    onsave={(prefix) =>
                                        workspace.edit(
                                            `Pins of ${module.name}`,
                                            change('module', module.id, { prefix }),
                                        )}
                                />0 to {chosen.offered - 1}</span
                            >{/if}</td
                    >
                    <td class="mono whitespace-nowrap"
                        >{chosen && chosen.peakMa > 0
                            ? `${chosen.peakMa} mA${chosen.peakPer === null ? '' : ' a light'}`
                            : '–'}</td
                    >
                    <td
                        >{#if chosen?.fed}<FedFrom {module} {node} {index} {catalogue} />{/if}</td
                    >
                    <td class="text-right"
                        ><RemoveButton
                            what="Remove {module.name}"
                            onremove={() =>
                                workspace.edit(`Remove ${module.name} from ${node.name}`, remove('module', module.id))}
                        /></td
                    >
                </tr>
            {:else}
                <tr
                    ><td colspan="5" class="text-soft"
                        >No modules yet: add a radio, and relays to switch with or keys to press.</td
                    ></tr
                >
            {/each}
        </tbody>
    </table>
    <div class="border-rule border-t px-3 py-2">
        <SelectField
            label="Add a module"
            quiet
            adds
            class="w-[300px]"
            value=""
            empty="Add a module…"
            items={catalogue.modules.map((one) => ({ value: one.key, name: one.name }))}
            onsave={addModule}
        />
    </div>
</section>
