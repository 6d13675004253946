<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

enum QuantityKind: string
{
    case Whole = 'whole';
    case Number = 'number';
    case Text = 'text';
    case Choice = 'choice';
    case Flag = 'flag';
    case Texts = 'texts';
    case Numbers = 'numbers';
    case Flags = 'flags';
}
