<?php

declare(strict_types=1);

namespace Rundfunk\Format;

use Rundfunk\DerivedId;
use Rundfunk\Shape\PlanRefused;

/**
 * Reads a plan of format 1 as one of format 2, in which what feeds a module is a thing of its own, and what stands at a
 * modem is discrete parts. It knows nothing of today's shapes: plain values in, plain values out, so that it reads such files
 * and such databases whatever becomes of them. What it does not understand it leaves for the reader to refuse.
 */
final class From1
{
    private const FED = ['board-3v3', 'board-5v', 'adapter', 'own'];

    /** What came with format 2: read here it would be lost, or lose what is made of the old. */
    private const LATER = ['supplies', 'parts'];

    private const ADAPTER = 'regulator-adapter';

    /** What a modem's end said of its supply and parts, and what was so where it said nothing. */
    private const OF_MODEM = ['supplyV' => 4, 'sourceOhm' => 0.2, 'capacitorUf' => 2_200, 'esrOhm' => 0.05, 'level' => 'divider-1k-1k2'];

    private const BOUGHT = ['phone', 'remote', 'fixture'];

    private const PIN_NAMES = ['board-5v' => '5V pin', 'board-3v3' => '3V3 pin'];

    /** @var array<string, array<array-key, mixed>> by id */
    private array $supplies = [];

    /** @var array<string, array<array-key, mixed>> by id */
    private array $parts = [];

    /** @var array<string, array<array-key, mixed>> modules by id */
    private array $modules = [];

    /** @var array<string, string> the first adapter of each node */
    private array $adapters = [];

    /**
     * @param  array<array-key, mixed>  $raw
     * @return array<array-key, mixed>
     *
     * @throws PlanRefused where a module says that it is fed by what is nothing, or something is said as only format 2 says it
     */
    public static function read(array $raw): array
    {
        return (new self)->document($raw);
    }

    /**
     * @param  array<array-key, mixed>  $raw
     * @return array<array-key, mixed>
     */
    private function document(array $raw): array
    {
        foreach (self::LATER as $list) {
            if (array_key_exists($list, $raw)) {
                throw PlanRefused::at("/{$list}", 'is not a known field here');
            }
        }
        $modules = self::things($raw, 'modules');
        foreach ($modules as $index => $module) {
            if (array_key_exists('supplyId', $module)) {
                throw PlanRefused::at("/modules/{$index}/supplyId", 'is not a known field here');
            }
            if (isset($module['supply']) && ! in_array($module['supply'], self::FED, true)) {
                throw PlanRefused::at("/modules/{$index}/supply", 'must be one of '.implode(', ', self::FED));
            }
            $id = self::text($module, 'id');
            $this->modules[$id] = $module;
            if (($module['class'] ?? null) === self::ADAPTER) {
                $this->adapters[self::text($module, 'nodeId')] ??= $id;
            }
        }
        $raw = $this->withModems($raw);
        $kept = [];
        foreach ($modules as $module) {
            $isAdapter = ($module['class'] ?? null) === self::ADAPTER;
            $now = [];
            foreach ([...$module, 'supply' => $this->fedBy($module)] as $field => $value) {
                $now[$field === 'supply' ? ($isAdapter ? 'parentId' : 'supplyId') : $field] = $value;
            }
            if ($isAdapter) {
                $this->supplies[self::text($module, 'id')] = $now;
            } else {
                $kept[] = $now;
            }
        }
        // What is no record stays where it is, for the reader to name.
        foreach (self::list($raw, 'modules') as $index => $module) {
            if (! is_array($module)) {
                array_splice($kept, $index, 0, [$module]);
            }
        }
        if (self::isList($raw, 'modules')) {
            $raw['modules'] = $kept;
        }
        $raw['format'] = 2;

        return [...$this->withoutAdapters($raw), 'supplies' => array_values($this->supplies), 'parts' => array_values($this->parts)];
    }

    /** @param  array<array-key, mixed>  $module */
    private function fedBy(array $module): ?string
    {
        $nodeId = self::text($module, 'nodeId');

        return match ($module['supply'] ?? null) {
            'board-3v3', 'board-5v' => $this->pin($nodeId, $module['supply']),
            'adapter' => $this->adapters[$nodeId] ?? null,
            'own' => $this->own($module, null, null),
            default => null,
        };
    }

    private function pin(string $nodeId, string $class): string
    {
        $id = DerivedId::of('supply', $nodeId, $class);
        $this->supplies[$id] ??= ['id' => $id, 'nodeId' => $nodeId, 'class' => $class, 'name' => self::PIN_NAMES[$class], 'order' => array_search($class, array_keys(self::PIN_NAMES), true)];

        return $id;
    }

    /** @param  array<array-key, mixed>  $module */
    private function own(array $module, mixed $volts, mixed $sourceOhm): string
    {
        $id = DerivedId::of('supply', self::text($module, 'id'), 'own');
        $this->supplies[$id] ??= [
            'id' => $id,
            'nodeId' => self::text($module, 'nodeId'),
            'class' => 'other',
            'name' => mb_substr('Supply of '.self::text($module, 'name'), 0, 80),
            'volts' => $volts,
            'sourceOhm' => $sourceOhm,
            'order' => is_int($module['order'] ?? null) ? $module['order'] : 0,
        ];

        return $id;
    }

    /**
     * @param  array<array-key, mixed>  $raw
     * @return array<array-key, mixed>
     */
    private function withModems(array $raw): array
    {
        $cellular = [];
        foreach (self::things($raw, 'links') as $link) {
            $cellular[self::text($link, 'id')] = ($link['medium'] ?? null) === 'cellular';
        }
        $bought = [];
        foreach (self::things($raw, 'nodes') as $node) {
            $bought[self::text($node, 'id')] = in_array($node['kind'] ?? null, self::BOUGHT, true);
        }
        foreach (self::things($raw, 'endpoints') as $index => $end) {
            if (! ($cellular[self::text($end, 'linkId')] ?? false) || ! is_array($end['settings'] ?? [])) {
                continue;
            }
            $settings = $end['settings'] ?? [];
            $module = $this->modules[self::text($end, 'moduleId')] ?? null;
            if ($module !== null && str_starts_with(self::text($module, 'class'), 'modem-') && ! ($bought[self::text($end, 'nodeId')] ?? false)) {
                $this->modem($module, [...self::OF_MODEM, ...$settings]);
            }
            if (is_array($raw['endpoints'] ?? null) && isset($end['settings'])) {
                $raw['endpoints'][$index] = [...$end, 'settings' => array_diff_key($settings, self::OF_MODEM)];
            }
        }

        return $raw;
    }

    /**
     * @param  array<array-key, mixed>  $module
     * @param  array<array-key, mixed>  $said
     */
    private function modem(array $module, array $said): void
    {
        if (($module['supply'] ?? null) === 'own') {
            $this->own($module, $said['supplyV'], $said['sourceOhm']);
        }
        if (is_numeric($said['capacitorUf']) && $said['capacitorUf'] > 0) {
            $this->part($module, 'VBAT', 'capacitor', ['microfarads' => $said['capacitorUf'], 'esrOhm' => $said['esrOhm']]);
        }
        // The carrier of an LTE module shifts its levels itself, whatever its end of the link was left at.
        if (str_starts_with(self::text($module, 'class'), 'modem-lte')) {
            return;
        }
        match ($said['level']) {
            'divider-1k-1k2' => $this->part($module, 'RXD', 'divider', ['ohms' => 1_000, 'lowerOhms' => 1_200]),
            'divider-1k-2k' => $this->part($module, 'RXD', 'divider', ['ohms' => 1_000, 'lowerOhms' => 2_000]),
            'shifter' => array_map(fn (string $terminal) => $this->part($module, $terminal, 'shifter', []), ['RXD', 'TXD']),
            default => null,
        };
    }

    /**
     * @param  array<array-key, mixed>  $module
     * @param  array<string, mixed>  $values
     */
    private function part(array $module, string $terminal, string $kind, array $values): void
    {
        $moduleId = self::text($module, 'id');
        $id = DerivedId::of('part', $moduleId, $terminal, $kind);
        $this->parts[$id] ??= ['id' => $id, 'moduleId' => $moduleId, 'terminal' => $terminal, 'kind' => $kind, ...$values];
    }

    /**
     * An adapter is no module any more: what was on it hangs on nothing.
     *
     * @param  array<array-key, mixed>  $raw
     * @return array<array-key, mixed>
     */
    private function withoutAdapters(array $raw): array
    {
        $gone = array_filter($this->modules, static fn (array $module): bool => ($module['class'] ?? null) === self::ADAPTER);
        if ($gone === []) {
            return $raw;
        }
        foreach (['endpoints', 'controls', 'outputs'] as $list) {
            foreach (self::things($raw, $list) as $index => $thing) {
                if (isset($gone[self::text($thing, 'moduleId')]) && is_array($raw[$list] ?? null)) {
                    $raw[$list][$index] = [...$thing, 'moduleId' => null];
                }
            }
        }
        if (self::isList($raw, 'pinUses')) {
            $raw['pinUses'] = array_values(array_filter(self::list($raw, 'pinUses'), static fn (mixed $use): bool => ! is_array($use) || ! isset($gone[self::text($use, 'moduleId')])));
        }

        return $raw;
    }

    /**
     * @param  array<array-key, mixed>  $raw
     * @return array<array-key, array<array-key, mixed>>
     */
    private static function things(array $raw, string $list): array
    {
        return array_filter(self::list($raw, $list), is_array(...));
    }

    /**
     * @param  array<array-key, mixed>  $raw
     * @return array<array-key, mixed>
     */
    private static function list(array $raw, string $list): array
    {
        return is_array($raw[$list] ?? null) ? $raw[$list] : [];
    }

    /** @param  array<array-key, mixed>  $raw */
    private static function isList(array $raw, string $list): bool
    {
        return is_array($raw[$list] ?? null) && array_is_list($raw[$list]);
    }

    /** @param  array<array-key, mixed>  $thing */
    private static function text(array $thing, string $field): string
    {
        $value = $thing[$field] ?? null;

        return is_string($value) ? $value : '';
    }
}
