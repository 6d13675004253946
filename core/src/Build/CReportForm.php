<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Catalogue\ReportForm;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

/** How a controller that is polled is asked and read, as C: {@see ReportForm}. */
final readonly class CReportForm
{
    /**
     * @param  string  $prefix  in capitals
     * @param  string  $name  of the module
     */
    public function __construct(private ReportForm $form, private string $prefix, private string $name)
    {
    }

    /** @return list<string> */
    public function lines(): array
    {
        $form = $this->form;
        $lower = strtolower($this->prefix);
        $names = new UniqueNames;
        $fields = $reads = $rests = [];
        foreach ($form->keys as $name => ['byte' => $byte, 'bit' => $bit]) {
            $field = $names->name(CNames::lower((string) $name));
            $fields[] = "    uint8_t {$field}; /* 1 while it is pressed */";
            $reads[] = "    pad->{$field} = (uint8_t)((bytes[{$byte}] >> {$bit} & 1)".($form->keysLow ? ' ^ 1' : '').');';
            $rests[] = "    pad->{$field} = 0;";
        }
        foreach ($form->axes as $name => $byte) {
            $field = $names->name(CNames::lower((string) $name));
            $fields[] = "    uint8_t {$field}; /* 0 to ".ReportForm::MOST.' */';
            $reads[] = "    pad->{$field} = bytes[{$byte}];";
            $rests[] = "    pad->{$field} = ".ReportForm::MIDDLE.';';
        }
        if ($fields === []) {
            [$fields, $reads, $rests] = [['    uint8_t none; /* it says nothing */'], ['    pad->none = 0;'], ['    pad->none = 0;']];
        }
        $lost = [];
        foreach ($form->proofs as $byte => $may) {
            $lost[] = '('.implode(' && ', array_map(static fn (int $is): string => sprintf('bytes[%d] != 0x%02X', $byte, $is), $may)).')';
        }

        return [
            '/*', ' * '.CNames::comment("{$this->name}: ask it every {$form->pollMs} ms, {$form->bytes} bytes both ways at once, at {$form->clockKhz} kHz at most, ").($form->leastFirst ? 'least' : 'most').' significant bit first.', ' */',
            "#define {$this->prefix}_POLL_MS {$form->pollMs}",
            "#define {$this->prefix}_REPORT_BYTES {$form->bytes}",
            "static const uint8_t {$lower}_ask[{$this->prefix}_REPORT_BYTES] = { ".implode(', ', array_map(static fn (int $byte): string => sprintf('0x%02X', $byte), $form->ask)).' };', '',
            "struct {$lower}_report {", ...$fields, '};', '',
            '/* 1; or 0 when the link to it is lost: then nothing is pressed and the sticks are let go. */',
            "static inline uint8_t {$lower}_report_read(struct {$lower}_report *pad, const uint8_t bytes[{$this->prefix}_REPORT_BYTES])", '{',
            ...($lost === [] ? ['    (void)bytes;', ...$rests] : ['    if ('.implode(' || ', $lost).') {', ...array_map(static fn (string $line): string => "    {$line}", $rests), '        return 0;', '    }', ...$reads]),
            $lost === [] ? '    return 0;' : '    return 1;', '}', '',
        ];
    }
}
