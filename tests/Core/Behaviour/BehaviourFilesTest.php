<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use Opis\JsonSchema\Validator;
use Rundfunk\Behaviour\CBehaviour;
use Rundfunk\Behaviour\CSize;
use Rundfunk\Behaviour\Tabulation;
use Rundfunk\Build\Artefact;
use Rundfunk\Build\BehaviourFiles;
use Rundfunk\Build\CHeader;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;
use Tests\Core\RandomPlans;

/** The files of what a node does, as compilers and readers of JSON take them. */
final class BehaviourFilesTest extends CoreTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/rundfunk-behaviour-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Process(['rm', '-r', $this->folder]))->mustRun();
    }

    public function test_every_behaviour_compiles_without_a_warning_beside_its_nodes_header(): void
    {
        $plans = [self::linden(), self::assigner()->assign(self::faulty())->plan, ...array_map(static fn (int $seed): Plan => self::assigner()->assign((new RandomPlans($seed, self::knowledge()))->plan())->plan, range(1, 12))];
        $sources = [];
        foreach ($plans as $plan) {
            foreach ($plan->nodes() as $node) {
                $behaviour = self::file($plan, $node, 'c-behaviour');
                if ($behaviour === null) {
                    continue;
                }
                // Each in a folder of its own: two plans may have nodes of one name.
                $place = 'n'.count($sources);
                mkdir("{$this->folder}/{$place}");
                $header = new CHeader(self::knowledge());
                file_put_contents("{$this->folder}/{$place}/{$header->fileName($node)}", $header->write($plan, $node));
                file_put_contents("{$this->folder}/{$place}/{$behaviour->fileName}", $behaviour->content);
                file_put_contents("{$this->folder}/{$place}.c", "#include \"{$place}/{$behaviour->fileName}\"\nvoid {$place}(struct node_state *me);\nvoid {$place}(struct node_state *me) { node_start(me, 0); }\n");
                $sources[] = "{$place}.c";
            }
        }
        self::assertGreaterThan(60, count($sources));
        $runs = array_map(fn (array $command): Process => new Process([...$command, '-std=c99', '-Wall', '-Wextra', '-Werror', '-fsyntax-only', ...$sources], $this->folder, timeout: 120), [['gcc', '-pedantic'], ['avr-gcc', '-mmcu=avr5', '-Os']]);
        array_map(static fn (Process $run) => $run->start(), $runs);
        foreach ($runs as $run) {
            self::assertSame(0, $run->wait(), $run->getErrorOutput());
        }
    }

    public function test_memory_is_counted_to_the_byte_and_the_program_within_half(): void
    {
        $all = array_map(RandomTables::of(...), range(500, 507));
        foreach (self::linden()->nodes() as $node) {
            if (! $node->kind->isBought()) {
                $all[] = Tabulation::of(self::linden(), $node, self::knowledge());
            }
        }
        file_put_contents($this->folder.'/any.h', '');
        foreach ($all as $tables) {
            file_put_contents($this->folder.'/node.h', CBehaviour::write($tables, 'any.h', []));
            file_put_contents($this->folder.'/node.c', self::PROGRAM);
            (new Process(['avr-gcc', '-mmcu=atmega644', '-Os', '-std=c99', '-o', 'node.elf', 'node.c'], $this->folder))->mustRun();
            [, $row] = explode("\n", (new Process(['avr-size', 'node.elf'], $this->folder))->mustRun()->getOutput());
            [$text, $data, $bss] = array_map(intval(...), preg_split('/\s+/', trim($row)) ?: []);
            $size = CSize::of($tables);
            self::assertSame($data + $bss, $size->memoryBytes(), $tables->node);
            // Of the smallest, what is always there is more than what they do.
            self::assertEqualsWithDelta($text, $size->programBytes(), max(0.5 * $text, 500), $tables->node);
        }
    }

    public function test_the_tables_obey_their_published_schema(): void
    {
        $schema = (string) file_get_contents(dirname(__DIR__, 3).'/docs/node.schema.json');
        foreach ([self::linden(), self::assigner()->assign((new RandomPlans(3, self::knowledge()))->plan())->plan] as $plan) {
            foreach ($plan->nodes() as $node) {
                $file = self::file($plan, $node, 'node-json');
                if ($file !== null) {
                    $result = (new Validator)->validate(json_decode($file->content, false, 64, JSON_THROW_ON_ERROR), $schema);
                    self::assertTrue($result->isValid(), $node->name.': '.json_encode($result->error()?->data()->fullPath()));
                }
            }
        }
        self::assertNull(self::file(self::linden(), self::nodeNamed(self::linden(), 'Hen fob'), 'node-json'), 'what was bought does as its makers made it');
    }

    public function test_both_ends_of_a_hop_know_it_by_what_they_share(): void
    {
        $plan = self::linden();
        $tell = Tabulation::of($plan, self::nodeNamed($plan, 'Shed'), self::knowledge());
        $hear = Tabulation::of($plan, self::nodeNamed($plan, 'Hen house'), self::knowledge());
        $codes = [];
        foreach ($tell->told as $said) {
            if ($tell->links[$said->link]->name === 'Yard') {
                $codes[] = $said->code;
            }
        }
        $known = [];
        foreach ($hear->heard as $heard) {
            if ($hear->links[$heard->link]->name === 'Yard') {
                self::assertSame('Shed', $hear->links[$heard->link]->nodes[$heard->from - 1]);
                $known[] = $heard->code;
            }
        }
        sort($codes);
        sort($known);
        self::assertNotSame([], $codes);
        self::assertSame($codes, $known);
    }

    private static function nodeNamed(Plan $plan, string $name): Node
    {
        foreach ($plan->nodes() as $node) {
            if ($node->name === $name) {
                return $node;
            }
        }
        self::fail("no node {$name}");
    }

    private static function file(Plan $plan, Node $node, string $key): ?Artefact
    {
        foreach (BehaviourFiles::of($plan, $node, self::knowledge()) as $file) {
            if ($file->key === $key) {
                return $file;
            }
        }

        return null;
    }

    private const PROGRAM = <<<'C'
        #include "node.h"
        struct node_state me; struct node_inputs in; struct node_outputs out; struct node_told told; struct node_message heard[4];
        int main(void)
        {
            node_start(&me, 0);
            for (;;) {
                __asm__ volatile ("" ::: "memory");
                node_step(&me, 1, 2, &in, heard, 4, &out, &told);
            }
        }
        C;
}
