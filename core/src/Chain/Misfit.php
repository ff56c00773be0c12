<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Finding\Code;

/** Why two ends do not join: rule codes, each once. */
final readonly class Misfit
{
    /** What each code counts when the nearest miss is sought; another family counts more than another variant. */
    private const WEIGHTS = ['M14' => 3, 'M15' => 2, 'M12' => 2, 'M1' => 2];

    private const OTHER_FAMILY = 4;

    /** @param  non-empty-list<Code>  $codes */
    public function __construct(public array $codes, private bool $otherFamily = false)
    {
    }

    public static function format(): self
    {
        return new self([Code::M14]);
    }

    public static function family(): self
    {
        return new self([Code::M15], true);
    }

    public function weight(): int
    {
        if ($this->otherFamily) {
            return self::OTHER_FAMILY;
        }

        return array_sum(array_map(static fn (Code $code): int => self::WEIGHTS[$code->value] ?? 1, $this->codes));
    }
}
