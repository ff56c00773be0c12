<?php

// Core figures, without HTTP: questions per second, and how `plan` grows with the shelf.
declare(strict_types=1);

use Linguator\Core\Chain\PathSearch;
use Linguator\Core\Chain\PlanRequest;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Tests\RandomShelf;
use Linguator\Core\Verb\Verbs;

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/questions.php';

const SECONDS_EACH = 1.0;
const SHELVES_EACH = 15;

/** Calls per second of wall time, over at least SECONDS_EACH. */
function perSecond(callable $call): float
{
    $call();
    $count = 0;
    $start = hrtime(true);
    do {
        for ($k = 0; $k < 20; $k++) {
            $call();
        }
        $count += 20;
    } while (($spent = (hrtime(true) - $start) / 1e9) < SECONDS_EACH);

    return $count / $spent;
}

/** @param  list<float>  $values */
function quantile(array $values, float $share): float
{
    sort($values);

    return $values[(int) min(count($values) - 1, floor($share * count($values)))];
}

echo "## Core: questions per second\n\n| verb | per second |\n|---|--:|\n";
$verbs = new Verbs(new Schemas);
foreach (questions() as $verb => $question) {
    if ($verb !== 'plan') {
        printf("| %s | %s |\n", $verb, number_format(perSecond(fn () => $verbs->ask($verb, $question))));
    }
}

echo "\n## Core: plan over random shelves\n\n| cards | relay | median ms | slowest ms | joined |\n|--:|---|--:|--:|--:|\n";
foreach ([50, 100, 200, 400] as $size) {
    foreach ([false, true] as $relay) {
        [$times, $joined] = [[], 0];
        for ($seed = 1; $seed <= SHELVES_EACH; $seed++) {
            $cards = (new RandomShelf($seed))->cards([
                'module' => (int) ($size * 0.15), 'receiver' => (int) ($size * 0.5), 'converter' => (int) ($size * 0.15), 'controller' => (int) ($size * 0.2) - 2,
            ]);
            $question = (object) ['shelf' => $cards, 'handset' => 'h', 'craft' => 'z', 'channels' => 6, 'allow_relay' => $relay];
            $start = hrtime(true);
            $joined += PathSearch::best(PlanRequest::fromDocument($question)) === [] ? 0 : 1;
            $times[] = (hrtime(true) - $start) / 1e6;
        }
        printf("| %d | %s | %.0f | %.0f | %d of %d |\n", $size, $relay ? 'yes' : 'no', quantile($times, 0.5), max($times), $joined, SHELVES_EACH);
    }
}
