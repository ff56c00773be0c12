<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Failsafe;

use Linguator\Core\Proof\Cut;

/** How a lost link is tested, what must be seen, and what was. */
final readonly class LossTest
{
    /**
     * @param  string|null  $result  `pass` or `fail`; null: never tested.
     * @param  list<string>  $reasons  Why the last test holds no longer.
     * @param  bool  $holds  Whether the last test passed, and holds.
     * @param  string|null  $mendFirst  What stands against it.
     * @param  bool  $mayPass  Whether what is to be seen may be called passed.
     * @param  list<ShownChoice>  $choices  What may be seen, where nobody can know beforehand; else none.
     */
    public function __construct(
        public Cut $cut,
        public string $safety,
        public string $do,
        public string $see,
        public ?string $result,
        public ?string $observed,
        public ?string $at,
        public ?string $by,
        public array $reasons,
        public bool $holds,
        public bool $mayPass,
        public ?string $mendFirst,
        public array $choices,
    ) {
    }
}
