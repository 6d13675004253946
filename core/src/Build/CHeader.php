<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Frame\FrameProof;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Precedence;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Text\CNames;
use Rundfunk\Text\FileName;
use Rundfunk\Text\UniqueNames;

/** The C99 header of one node: pins, link settings, addresses, codes and the frame's encoder and decoder. No allocation, no library but stdint.h. */
final readonly class CHeader
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function fileName(Node $node): string
    {
        return FileName::of(CNames::lower($node->name), '.h');
    }

    public function write(Plan $plan, Node $node): string
    {
        return (new self($this->knowledge->of($plan)))->lines($plan, $node);
    }

    /** @return array<string, string> what stands before the names of each end's constants, by end */
    public function prefixes(Plan $plan, Node $node): array
    {
        $of = new self($this->knowledge->of($plan));
        $names = new UniqueNames;
        (new HeaderStart($plan, $node, $of->knowledge, HeaderPins::of($plan, $node, $of->knowledge, $names)))->lines($names);
        self::masters($plan, $node, $names);
        $of->reports($plan, $node, $names);
        $prefixes = [];
        foreach ($plan->endpointsOf($node) as $endpoint) {
            $prefixes[$endpoint->id] = $names->name(CNames::upper($plan->link($endpoint->linkId)->name));
            // What it names is taken for those that come after it.
            $of->link($plan, $endpoint, $prefixes[$endpoint->id], $names);
        }

        return $prefixes;
    }

    private function lines(Plan $plan, Node $node): string
    {
        $names = new UniqueNames;
        $guard = 'RUNDFUNK_'.CNames::upper($node->name).'_H';
        $board = $this->knowledge->catalogue->boardOf($node);
        $pins = HeaderPins::of($plan, $node, $this->knowledge, $names);
        $lines = [
            '/*',
            ' * '.CNames::comment("{$node->name}, of the plan \"{$plan->properties->name}\""),
            ' * '.CNames::comment('Board: '.($board->name ?? 'none chosen yet')),
            ' * Made by Rundfunk from the plan. Change the plan and export again; do not change this file.',
            ' */',
            "#ifndef {$guard}",
            "#define {$guard}",
            '',
            '#include <stdint.h>',
            '',
            ...$pins->lines,
            ...(new HeaderStart($plan, $node, $this->knowledge, $pins))->lines($names),
            ...self::masters($plan, $node, $names),
            ...$this->reports($plan, $node, $names),
        ];
        foreach ($plan->endpointsOf($node) as $endpoint) {
            $lines = [...$lines, ...$this->link($plan, $endpoint, $names->name(CNames::upper($plan->link($endpoint->linkId)->name)), $names)];
        }

        return implode("\n", [...$lines, ...$this->relayed($plan, $node), "#endif /* {$guard} */", '']);
    }

    /** @return list<string> who wins where several controls drive an output of this node */
    private static function masters(Plan $plan, Node $node, UniqueNames $names): array
    {
        $lines = [];
        foreach ($plan->outputsOf($node) as $output) {
            $routes = $plan->routesTo($output);
            if (count($routes) > 1) {
                $rank = (int) array_search($output->precedence, Precedence::cases(), true);
                $lines[] = '#define '.$names->name('PRECEDENCE_'.CNames::upper($output->name))." {$rank} ".self::note($output->precedence->words());
                foreach ($routes as $route) {
                    $lines[] = '/*   '.CNames::comment(RouteNames::of($plan, $route).', '.RouteNames::asks($route)).' */';
                }
            }
        }

        return $lines === [] ? [] : ['/* Outputs with several masters, and who wins. */', ...$lines, ''];
    }

    /** @return list<string> what controllers that are polled say */
    private function reports(Plan $plan, Node $node, UniqueNames $names): array
    {
        $lines = [];
        foreach ($plan->modulesOf($node) as $module) {
            $report = $this->knowledge->catalogue->classOf($module)->report;
            if ($report !== null) {
                $lines = [...$lines, ...(new CReportForm($report, $names->name(CNames::upper($module->name)), $module->name))->lines()];
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private function link(Plan $plan, Endpoint $endpoint, string $prefix, UniqueNames $names): array
    {
        $link = $plan->link($endpoint->linkId);
        $medium = $this->knowledge->media->named($link->medium);
        $lines = ['/* '.CNames::comment("{$link->name}: {$medium->name()}").' */'];
        $lines[] = '#define '.$names->name("{$prefix}_FINGERPRINT").' 0x'.strtoupper(Fingerprint::ofLink($plan, $link, $this->knowledge)).'UL '.self::note('the same at every end, or one of them must be flashed again: a node may send it when it starts');
        foreach ($this->knowledge->media->offering(DescribesEnds::class, $link->medium)?->defines($plan, $endpoint) ?? [] as $define) {
            $lines[] = rtrim('#define '.$names->name("{$prefix}_{$define->name}")." {$define->value} ".self::note($define->comment));
        }
        $lines = [...$lines, '', ...self::codes($plan, $endpoint, $prefix, $names)];
        $lines = [...$lines, ...$this->knowledge->media->offering(WritesC::class, $link->medium)?->cLines($plan, $endpoint, $prefix, $this->knowledge) ?? []];
        $frames = $this->knowledge->media->offering(FramesMessages::class, $link->medium);
        $layout = $frames?->layout($plan, $link);
        if ($layout !== null) {
            $proof = $layout->fits() ? FrameProof::of($layout) : null;
            $lines = [...$lines, ...(new CFrame($layout, $prefix))->lines(), ...($proof === null ? [] : CFrameProof::lines($proof, $prefix, KeyNames::of($plan, $this->knowledge)[$link->id], CNames::comment($link->name)))];
        }
        foreach ($layout?->fits() === true ? $frames->insides($plan, $endpoint) : [] as $inside) {
            $lines = [...$lines, ...(new CFrame($inside->layout, $prefix, $inside->what, $inside->title))->lines()];
        }

        return $lines;
    }

    /** @return list<string> */
    private static function codes(Plan $plan, Endpoint $endpoint, string $prefix, UniqueNames $names): array
    {
        $lines = [];
        foreach ([['sends', $plan->hopsFrom($endpoint)], ['obeys', $plan->hopsTo($endpoint)]] as [$verb, $hops]) {
            foreach ($hops as $hop) {
                if ($hop->code === null) {
                    continue;
                }
                $route = $plan->route($hop->routeId);
                $control = $plan->control($route->controlId);
                $output = $plan->output($route->outputId);
                $name = $names->name("{$prefix}_CODE_".CNames::upper("{$plan->node($control->nodeId)->name} {$control->name} {$output->name} ".RouteNames::inWords($route)));
                $lines[] = sprintf('#define %s 0x%02X %s', $name, $hop->code, self::note("{$verb}: ".RouteNames::of($plan, $route).', '.RouteNames::asks($route)));
            }
        }

        return $lines === [] ? [] : [...$lines, ''];
    }

    /** @return list<string> how this node hands messages on from one link to the next */
    private function relayed(Plan $plan, Node $node): array
    {
        $lines = [];
        foreach ($plan->routes() as $route) {
            $hops = $plan->hopsOf($route);
            foreach ($hops as $index => $hop) {
                $next = $hops[$index + 1] ?? null;
                if ($next !== null && $hop->code !== null && $next->code !== null && $plan->endpoint($hop->toId)->nodeId === $node->id) {
                    $lines[] = sprintf(' *   0x%02X on %s goes on as 0x%02X on %s', $hop->code, CNames::comment($plan->link($hop->linkId)->name), $next->code, CNames::comment($plan->link($next->linkId)->name));
                }
            }
        }

        return $lines === [] ? [] : ['/* Handed on by this node:', ...$lines, ' */', ''];
    }

    private static function note(string $text): string
    {
        return $text === '' ? '' : '/* '.CNames::comment($text).' */';
    }
}
