<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { api, type Schemas } from '../lib/api';
    import { change, workspace } from '../lib/workspace.svelte';
    import SelectField from './SelectField.svelte';

    /** Puts a calculator's figures where they belong in a plan: onto one end of a link. */
    interface Props {
        calculator: Schemas['Calculator'];
        values: Record<string, string>;
        outputs: Record<string, unknown>;
        planId: string;
    }
    let { calculator, values, outputs, planId }: Props = $props();

    let plans = $state.raw<Schemas['PlanList']['plans']>([]);
    let chosenPlan = $state('');
    let chosenEnd = $state('');
    let done = $state('');

    void api.GET('/api/plans').then(({ data }) => (plans = data?.plans ?? []));

    $effect(() => {
        if (planId !== '') {
            void choosePlan(planId);
        }
    });

    async function choosePlan(id: string): Promise<void> {
        chosenPlan = id;
        chosenEnd = '';
        done = '';
        if (id !== '') {
            await workspace.open(id);
        }
    }

    const medium = $derived(workspace.catalogue?.media.find((one) => one.key === calculator.destination?.medium));
    const ends = $derived(
        workspace.index === null || workspace.planId !== chosenPlan
            ? []
            : workspace.index.document.links
                  .filter((link) => link.medium === medium?.key)
                  .flatMap((link) =>
                      (workspace.index?.endpointsOn(link.id) ?? []).map((end) => ({
                          value: end.id,
                          linkId: link.id,
                          name: `${workspace.index?.node(end.nodeId)?.name} on ${link.name}`,
                      })),
                  ),
    );
    const settings = $derived(
        Object.fromEntries(
            (calculator.destination?.settings ?? []).map((one) => [
                one.setting,
                outputs[one.quantity] ?? Number(values[one.quantity]),
            ]),
        ),
    );
    const says = $derived(
        Object.entries(settings)
            .map(([name, value]) => {
                const field = medium?.endpointSettings.find((one) => one.name === name);
                return `${field?.title ?? name} ${value} ${field?.unit ?? ''}`.trim();
            })
            .join(', '),
    );

    async function use(): Promise<void> {
        const end = ends.find((one) => one.value === chosenEnd);
        if (end === undefined) {
            return;
        }
        const kept = await workspace.edit(
            `${calculator.title}: ${end.name}`,
            change('endpoint', end.value, { settings }),
        );
        done = kept ? end.value : '';
    }
</script>

<section class="border-rule mt-4 border-t pt-3" aria-label="Use in a plan">
    <h3 class="font-medium">Use in a plan</h3>
    <div class="mt-1.5 flex flex-wrap items-end gap-3">
        <SelectField
            label="Plan"
            value={chosenPlan}
            empty="choose…"
            class="w-[190px]"
            items={plans.map((plan) => ({ value: plan.id, name: plan.name }))}
            onsave={(id) => void choosePlan(id)}
        />
        {#if chosenPlan !== '' && medium !== undefined && ends.length > 0}
            <SelectField
                label="Where"
                value={chosenEnd}
                empty="choose…"
                class="w-[210px]"
                items={ends}
                onsave={(id) => ([chosenEnd, done] = [id, ''])}
            />
            <Button disabled={chosenEnd === ''} onclick={use}>Use there</Button>
        {/if}
    </div>
    {#if chosenPlan !== '' && medium !== undefined && ends.length === 0 && workspace.data !== null}
        <p class="text-soft mt-2">That plan has no {medium.name} link to put it on.</p>
    {:else if done !== ''}
        <p role="status" class="mt-2">
            Done, and it can be undone there.
            <a class="quiet-link" href="#/plans/{chosenPlan}/links/{ends.find((one) => one.value === done)?.linkId}"
                >See the link</a
            >
        </p>
    {:else if workspace.refusal !== null && chosenEnd !== ''}
        <p role="alert" class="text-fault mt-2">Not changed: {workspace.refusal}</p>
    {:else if chosenEnd !== ''}
        <p class="text-soft mt-2 text-[14px]">Sets {says}.</p>
    {/if}
</section>
