<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Shown;

enum SerialStrokeKind: string
{
    case Question = 'question';
    case Answer = 'answer';
    /** A node thinks, or nobody speaks. */
    case Rest = 'rest';
    /** A frame on its way around a ring. */
    case Frame = 'frame';
}
