<script lang="ts">
    import { push } from 'svelte-spa-router';
    import { searchable, search, type Hit } from '../lib/search';
    import { workspace } from '../lib/workspace.svelte';

    let { planId }: { planId: string } = $props();
    let typed = $state('');
    let chosen = $state(0);
    let box = $state<HTMLInputElement | null>(null);

    const all = $derived(
        workspace.index === null || workspace.data === null ? [] : searchable(workspace.index, workspace.data.findings),
    );
    const hits = $derived(search(all, typed));

    export function focus(): void {
        box?.focus();
    }

    function go(hit: Hit | undefined): void {
        if (hit !== undefined && workspace.index !== null) {
            const { step, item } = workspace.index.whereabouts(hit.kind, hit.id);
            void push(`/plans/${planId}/${step}${item === undefined ? '' : `/${item}`}`);
            typed = '';
            box?.blur();
        }
    }

    function key(event: KeyboardEvent): void {
        if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            const by = event.key === 'ArrowDown' ? 1 : -1;
            chosen = (chosen + by + hits.length) % Math.max(1, hits.length);
        } else if (event.key === 'Enter') {
            go(hits[chosen]);
        } else if (event.key === 'Escape') {
            typed = '';
            box?.blur();
        }
    }
</script>

<div class="relative hidden md:block">
    <input
        bind:this={box}
        bind:value={typed}
        oninput={() => (chosen = 0)}
        onkeydown={key}
        type="search"
        role="combobox"
        aria-label="Find anything in the plan"
        aria-expanded={hits.length > 0}
        aria-controls="hits"
        aria-activedescendant={hits.length > 0 ? `hit-${chosen}` : undefined}
        placeholder="Find anything in the plan   /"
        class="bg-paper border-rule text-ink placeholder:text-soft h-[30px] w-[230px] rounded-[4px] border px-2 text-[15px]"
    />
    <ul
        id="hits"
        role="listbox"
        aria-label="Found"
        class="sheet absolute top-[34px] right-0 z-30 w-[340px] shadow-md {hits.length > 0 ? '' : 'hidden'}"
    >
        {#each hits as hit, at (`${hit.kind} ${hit.id} ${hit.title}`)}
            <li id="hit-{at}" role="option" aria-selected={at === chosen}>
                <button
                    type="button"
                    tabindex="-1"
                    class="flex w-full gap-2 px-3 py-1 text-left {at === chosen ? 'bg-tint' : ''}"
                    onclick={() => go(hit)}
                >
                    <span class="grow truncate">{hit.title}</span><span class="text-soft shrink-0">{hit.what}</span>
                </button>
            </li>
        {/each}
    </ul>
</div>
