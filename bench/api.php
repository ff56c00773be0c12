<?php

// Round trips of each verb over HTTP while four clients ask at once: php bench/api.php http://127.0.0.1:PORT
declare(strict_types=1);

const CLIENTS = 4;
const ASKED_EACH = 400;

$base = rtrim($argv[1] ?? '', '/');

/**
 * @return list<float> Milliseconds of every round trip.
 */
function storm(string $address, string $body): array
{
    $multi = curl_multi_init();
    $times = [];
    $left = ASKED_EACH;
    $start = static function () use (&$left, $multi, $address, $body): void {
        if ($left-- <= 0) {
            return;
        }
        $handle = curl_init($address);
        curl_setopt_array($handle, [CURLOPT_POST => true, CURLOPT_POSTFIELDS => $body, CURLOPT_RETURNTRANSFER => true, CURLOPT_HTTPHEADER => ['Content-Type: application/json']]);
        curl_multi_add_handle($multi, $handle);
    };
    for ($k = 0; $k < CLIENTS; $k++) {
        $start();
    }
    do {
        curl_multi_exec($multi, $running);
        while ($done = curl_multi_info_read($multi)) {
            $handle = $done['handle'];
            if (curl_getinfo($handle, CURLINFO_RESPONSE_CODE) !== 200) {
                fwrite(STDERR, "$address: ".curl_multi_getcontent($handle)."\n");
                exit(1);
            }
            $times[] = curl_getinfo($handle, CURLINFO_TOTAL_TIME) * 1000;
            curl_multi_remove_handle($multi, $handle);
            $start();
            $running = 1;
        }
        curl_multi_select($multi, 0.01);
    } while ($running > 0 || count($times) < ASKED_EACH);

    return $times;
}

echo '## API: round trips while '.CLIENTS." clients ask\n\n| verb | p50 ms | p95 ms |\n|---|--:|--:|\n";
foreach (json_decode((string) file_get_contents(__DIR__.'/questions.json')) as $verb => $question) {
    $times = storm("$base/api/v1/$verb", json_encode($question, JSON_PRESERVE_ZERO_FRACTION));
    sort($times);
    printf("| %s | %.0f | %.0f |\n", $verb, $times[(int) (count($times) * 0.5)], $times[(int) (count($times) * 0.95)]);
}
