<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Knowledge;
use Rundfunk\Medium\Serial\Shown\ProtocolExample;
use Rundfunk\Medium\Serial\Shown\ProtocolExamples;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Values;
use Rundfunk\View\View;

/** What is most alike is a better beginning than an empty page. They lie beside the catalogue. */
final readonly class ExamplesView implements View
{
    public function key(): string
    {
        return 'protocol-examples';
    }

    public function owner(): null
    {
        return null;
    }

    public function shape(): string
    {
        return ProtocolExamples::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ProtocolExamples
    {
        return new ProtocolExamples(self::all());
    }

    /** @return list<ProtocolExample> */
    public static function all(): array
    {
        $examples = [];
        $files = glob(dirname(__DIR__, 4).'/catalogue/protocols/*.json');
        foreach ($files === false ? [] : $files as $file) {
            $read = json_decode((string) file_get_contents($file), true, 32, JSON_THROW_ON_ERROR);
            $values = is_array($read) ? $read : [];
            $examples[] = new ProtocolExample(basename($file, '.json'), (new Values($values))->text('name'), (new Values($values))->text('basis'), json_encode(array_diff_key($values, ['name' => '', 'basis' => '']), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
        }

        return $examples;
    }
}
