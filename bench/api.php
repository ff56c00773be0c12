<?php

// Round trips of each verb over HTTP while four clients ask at once: php bench/api.php http://127.0.0.1:PORT
declare(strict_types=1);

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/questions.php';
require __DIR__.'/storm.php';

const ASKED_EACH = 400;

$base = rtrim($argv[1] ?? '', '/');
echo '## API: round trips while '.CLIENTS." clients ask\n\n| verb | p50 ms | p95 ms |\n|---|--:|--:|\n";
foreach (questions() as $verb => $question) {
    printf("| %s | %.0f | %.0f |\n", $verb, ...middleAndSlow(storm("$base/api/v1/$verb", json_encode($question, JSON_PRESERVE_ZERO_FRACTION), ASKED_EACH)));
}
