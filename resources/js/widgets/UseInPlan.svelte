<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { api, type Operation, type Schemas } from '../lib/api';
    import { ulid } from '../lib/ulid';
    import { add, change, workspace } from '../lib/workspace.svelte';
    import SelectField from './SelectField.svelte';
    import TextField from './TextField.svelte';

    /** Puts a calculator's figures where they belong in a plan: onto a link, or onto one end of it. */
    interface Props {
        calculator: Schemas['Calculator'];
        values: Record<string, string>;
        outputs: Record<string, unknown>;
        planId: string;
    }
    let { calculator, values, outputs, planId }: Props = $props();

    let plans = $state.raw<Schemas['PlanList']['plans']>([]);
    let chosenPlan = $state('');
    let chosen = $state('');
    let done = $state('');
    /** What a code is to be called. */
    let name = $state('Code');

    void api.GET('/api/plans').then(({ data }) => (plans = data?.plans ?? []));

    $effect(() => {
        if (planId !== '') {
            void choosePlan(planId);
        }
    });

    async function choosePlan(id: string): Promise<void> {
        chosenPlan = id;
        chosen = '';
        done = '';
        if (id !== '') {
            await workspace.open(id);
        }
    }

    const medium = $derived(workspace.catalogue?.media.find((one) => one.key === calculator.destination?.medium));
    const fields = $derived(
        (calculator.destination?.of === 'link' ? medium?.linkSettings : medium?.endpointSettings) ?? [],
    );
    /** Where it could go: a link, an end of one, or something bought that is on one and has codes. */
    const spots = $derived(
        workspace.index === null || workspace.planId !== chosenPlan
            ? []
            : workspace.index.document.links
                  .filter((link) => link.medium === medium?.key)
                  .flatMap((link) => {
                      const see = `#/plans/${chosenPlan}/links/${link.id}`;
                      if (calculator.destination?.of === 'link') {
                          return [{ value: link.id, name: link.name, see }];
                      }
                      return (workspace.index?.endpointsOn(link.id) ?? []).flatMap((end) => {
                          const node = workspace.index?.node(end.nodeId);
                          if (calculator.destination?.of === 'endpoint') {
                              return [{ value: end.id, name: `${node?.name} on ${link.name}`, see }];
                          }
                          return node?.kind === 'remote' || node?.kind === 'fixture'
                              ? [{ value: node.id, name: node.name, see: `#/plans/${chosenPlan}/nodes/${node.id}` }]
                              : [];
                      });
                  }),
    );
    const settings = $derived(
        Object.fromEntries(
            (calculator.destination?.settings ?? []).map((one) => [
                one.setting,
                outputs[one.quantity] ?? figure(values[one.quantity] ?? ''),
            ]),
        ),
    );
    const says = $derived(
        Object.entries(settings)
            .map(([name, value]) => {
                const field = fields.find((one) => one.name === name);
                return `${field?.title ?? name} ${value} ${field?.unit ?? ''}`.trim();
            })
            .join(', '),
    );

    /** A word stays a word; hexadecimal counts as a number. */
    function figure(text: string): number | string {
        return text.trim() === '' || Number.isNaN(Number(text)) ? text : Number(text);
    }

    const isCode = $derived(calculator.destination?.of === 'keyCode');
    const whole = $derived(Object.values(settings).every((value) => value !== null && value !== ''));

    function operation(spotId: string): Operation {
        if (!isCode) {
            return change(calculator.destination?.of === 'link' ? 'link' : 'endpoint', spotId, { settings });
        }
        const order = workspace.index?.nextOrder(workspace.index.keyCodesOf(spotId)) ?? 0;
        return add('keyCode', ulid(), { nodeId: spotId, name: name.trim(), order, ...settings });
    }

    async function use(): Promise<void> {
        const spot = spots.find((one) => one.value === chosen);
        if (spot === undefined) {
            return;
        }
        done = (await workspace.edit(`${calculator.title}: ${spot.name}`, operation(spot.value))) ? spot.value : '';
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
        {#if chosenPlan !== '' && medium !== undefined && spots.length > 0}
            <SelectField
                label="Where"
                value={chosen}
                empty="choose…"
                class="w-[210px]"
                items={spots}
                onsave={(id) => ([chosen, done] = [id, ''])}
            />
            {#if isCode}
                <TextField label="Called" class="w-[130px]" value={name} onsave={(text) => (name = text)} />
            {/if}
            <Button disabled={chosen === '' || !whole || (isCode && name.trim() === '')} onclick={use}
                >{isCode ? 'Keep it there' : 'Use there'}</Button
            >
        {/if}
    </div>
    {#if chosenPlan !== '' && medium !== undefined && spots.length === 0 && workspace.data !== null}
        <p class="text-soft mt-2">
            That plan has no {medium.name} link to put it on{isCode ? ', or nothing bought is on it' : ''}.
        </p>
    {:else if done !== ''}
        <p role="status" class="mt-2">
            Done, and it can be undone there.
            <a class="quiet-link" href={spots.find((one) => one.value === done)?.see}
                >{isCode ? 'See its codes' : 'See the link'}</a
            >
        </p>
    {:else if workspace.refusal !== null && chosen !== ''}
        <p role="alert" class="text-fault mt-2">Not changed: {workspace.refusal}</p>
    {:else if chosen !== ''}
        <p class="text-soft mt-2 text-[14px]">{isCode ? 'Keeps' : 'Sets'} {says}.</p>
    {/if}
</section>
