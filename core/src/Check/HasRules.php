<?php

declare(strict_types=1);

namespace Rundfunk\Check;

interface HasRules
{
    /** @return list<Rule> */
    public function rules(): array;
}
