<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Action;

/** What is driven and told, as lines of C. */
final readonly class CActions
{
    public function __construct(private NodeTables $tables)
    {
    }

    /**
     * @param  string  $value  what the source says, as C
     * @param  bool  $found  where something may be found worked when the node starts: then only what holds counts
     * @return list<string>
     */
    public function doing(Does $does, string $value, bool $found, string $worked = 'worked'): array
    {
        $lines = [];
        foreach ($does->drives as $drive) {
            $guard = $found && ! $drive->action->holds() ? 'if (!found) ' : '';
            $lines[] = "    {$guard}".$this->put($drive, $value, $worked);
        }
        foreach ($does->tells as $tell) {
            $holds = $tell->action->holds();
            $conditions = [...($holds || $worked === '1' ? [] : ['worked']), ...($found && ! $holds ? ['!found'] : [])];
            $guard = $conditions === [] ? '' : 'if ('.implode(' && ', $conditions).') ';
            $said = $holds ? ($worked === '1' ? '1' : 'worked ? 1 : 0') : (string) ($tell->value ?? $value);
            $lines[] = "    {$guard}node_tell(me, {$tell->link}, {$tell->to}, {$tell->code}, {$said}); ".CNote::of($this->whom($tell->link, $tell->to));
        }

        return $lines;
    }

    public function put(Drive $drive, string $value, string $worked): string
    {
        $hand = $drive->byHand ? '1' : '0';
        $note = ' '.CNote::of($this->tables->outputs[$drive->output]->name);
        if ($drive->action === Action::Pulse) {
            return "node_pulse(me, {$drive->output}, {$hand}, {$drive->pulseMs}UL, {$worked});{$note}";
        }
        $master = $drive->master < 0 ? '0' : '(node_masters)1 << '.$drive->master;

        return 'node_put(me, '.$drive->output.', NODE_'.strtoupper($drive->action->value).', '.$master.", {$hand}, ".($drive->value ?? $value).", {$worked});{$note}";
    }

    public function whom(int $link, int $to): string
    {
        return $this->tables->links[$link]->name.', to '.($this->tables->links[$link]->nodes[$to - 1] ?? '?');
    }
}
