<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Rundfunk\Plan\Operation;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\View\Views;

/** An edit as the front end sends it. */
final readonly class EditRequest
{
    private const MOST = 5_000;

    /**
     * @param  list<Operation>  $operations
     * @param  int  $version  that its user had before him
     * @param  bool  $exact  it was worked out of that version, as a proposal is, and holds for no other
     * @param  array<string, list<string>>  $onScreen  see {@see OnScreen}
     */
    public function __construct(public EditMark $mark, public int $version, public string $label, public array $operations, public bool $exact, public array $onScreen)
    {
    }

    /** @throws PlanRefused */
    public static function read(Request $request, Views $views): self
    {
        $version = $request->input('version');
        $label = $request->input('label', '');
        $raw = $request->input('operations');
        if (! is_int($version)) {
            throw PlanRefused::at('/version', 'must be the version the edit was made against, a whole number');
        }
        if (! is_string($label) || mb_strlen($label) > 200) {
            throw PlanRefused::at('/label', 'must be text of at most 200 characters');
        }
        if (! is_array($raw) || ! array_is_list($raw) || $raw === [] || count($raw) > self::MOST) {
            throw PlanRefused::at('/operations', 'must be a list of 1 to '.self::MOST.' operations');
        }
        $operations = [];
        foreach ($raw as $index => $operation) {
            $operations[] = Operation::from($operation, '/operations/'.$index);
        }

        return new self(EditMark::read($request), $version, $label, $operations, $request->input('exact') === true, OnScreen::read($request, $views));
    }
}
