<script lang="ts">
    import { view } from '../lib/shown.svelte';

    interface Props {
        endId: string;
    }
    let { endId }: Props = $props();

    const kinds = {
        command: 'is told',
        state: 'says what is so',
        reading: 'says a reading',
        presence: 'says it is there',
    };
    const shown = view('end-topics', () => endId);
    const topics = $derived(shown.now?.topics ?? []);
</script>

<tbody>
    {#each topics as topic (`${topic.topic} ${topic.kind}`)}
        <tr>
            <td class="whitespace-nowrap">{topic.node}</td>
            <td class="text-soft text-[14px] whitespace-nowrap">{kinds[topic.kind]}</td>
            <td class="mono text-[13px] {topic.fault ? 'text-fault' : ''}"
                >{topic.topic}{#if topic.fault}<span class="block">{topic.fault}</span>{/if}</td
            >
            <td class="mono text-[13px]">{topic.payload}</td>
            <td class="mono">{topic.qos}</td>
            <td>{topic.retained ? 'yes' : 'no'}</td>
        </tr>
    {/each}
</tbody>
