<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\Response;

/** Says nothing: that it answers is what a page wants to know that was away from its bench. */
final readonly class ReachController
{
    public function __invoke(): Response
    {
        return new Response(status: 204);
    }
}
