<?php

declare(strict_types=1);

use App\Console\DecodeCommand;
use App\Console\VerbCommand;
use Illuminate\Console\Application;
use Linguator\Core\Verb\Verbs;

// One command per verb: linguator:order, linguator:plan …
Application::starting(function (Application $artisan): void {
    $artisan->resolve(DecodeCommand::class);
    foreach (array_diff_key(Verbs::all(), [Verbs::DECODE => true]) as $name => $class) {
        $artisan->resolve(app()->make(VerbCommand::class, ['verb' => $name, 'summary' => $class::summary()]));
    }
});
