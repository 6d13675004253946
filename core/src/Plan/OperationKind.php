<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

enum OperationKind: string
{
    case Add = 'add';
    case Change = 'change';
    case Remove = 'remove';
}
