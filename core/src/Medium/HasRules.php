<?php

declare(strict_types=1);

namespace Rundfunk\Medium;

use Rundfunk\Check\Rule;

interface HasRules
{
    /** @return list<Rule> */
    public function rules(): array;
}
