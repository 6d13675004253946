<?php

declare(strict_types=1);

namespace Rundfunk\Check;

/**
 * One thing that can be wrong with a plan: a class a rule, with its key and its step in {@see Finds}. It judges one subject
 * at a time (a node, a link, an end …, see the interfaces that extend this one) and may look at
 *
 * - whatever refers to its subject, at however many removes,
 * - whatever all those refer to,
 * - and the whole of every node and route among them.
 *
 * After an edit the rule is asked again about the subjects that the edit is felt by, and about no other: what it looks at
 * beyond that goes stale, and a random walk will say so. A pair is judged by the subject that holds both.
 */
interface Rule
{
}
