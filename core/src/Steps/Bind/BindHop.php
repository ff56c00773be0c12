<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Bind;

use Linguator\Core\Bind\RecipeStep;
use Linguator\Core\Proof\CheckState;

/** One hop of the bind step: how these two boxes are bound, what was tried, what to try next. */
final readonly class BindHop
{
    /**
     * @param  int  $hop  From 1.
     * @param  list<RecipeStep>  $recipe
     * @param  string  $proofHow  What proves a bind.
     * @param  NextTry|null  $next  Null: everything was tried.
     * @param  string  $because  Why that is next.
     * @param  list<RungView>  $ladder
     * @param  list<string>  $variants
     * @param  list<string>  $channelModes
     * @param  list<string>  $regions
     * @param  list<\stdClass>  $attempts  As they were logged, newest first.
     */
    public function __construct(
        public int $hop,
        public string $sender,
        public string $receiver,
        public array $recipe,
        public string $proofHow,
        public CheckState $proof,
        public ?NextTry $next,
        public string $because,
        public array $ladder,
        public ?float $expectedMinutes,
        public array $variants,
        public array $channelModes,
        public array $regions,
        public array $attempts,
    ) {
    }

    /** The latest attempt that bound; null: none did. */
    public function bound(): ?\stdClass
    {
        foreach ($this->attempts as $attempt) {
            if ($attempt->bound === true) {
                return $attempt;
            }
        }

        return null;
    }
}
