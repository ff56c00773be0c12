<?php

declare(strict_types=1);

/*
 * How long a value takes from the wire to the line of JSON that a listening page gets: a sender on a port of this machine flips channel 1 now and then.
 *
 *   php bench/live.php http://127.0.0.1:8793
 */

use Linguator\Core\Format\Encoder;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Format\Frame;

require __DIR__.'/../vendor/autoload.php';

const FLIPS = 60;
const PERIOD_S = 0.004;
const HOLD_S = 0.15;

$base = $argv[1] ?? 'http://127.0.0.1:8793';
$encoder = new Encoder(FormatCards::get('s420c'));
$frames = array_map(static fn (int $count): string => $encoder->encode(new Frame([1 => $count] + array_fill(1, 16, 992))), [500, 1500]);

$server = stream_socket_server('tcp://127.0.0.1:0');
$port = (int) substr((string) strrchr((string) stream_socket_get_name($server, false), ':'), 1);

// The page's token against forged requests, as a browser gets it.
$head = implode("\n", get_headers("$base/"));
preg_match('/XSRF-TOKEN=([^;]+)/', $head, $token);
preg_match_all('/Set-Cookie: ([^;]+)/i', $head, $cookies);
$body = (string) json_encode(['port' => $port]);
$page = stream_socket_client(strtr($base, ['http' => 'tcp']));
fwrite($page, "POST /api/v1/live/tcp HTTP/1.0\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nAccept: application/json\r\nX-XSRF-TOKEN: ".urldecode($token[1])."\r\nCookie: ".implode('; ', $cookies[1])."\r\nContent-Length: ".strlen($body)."\r\n\r\n$body");
$listener = stream_socket_accept($server, 10);
stream_set_blocking($page, false);

[$delays, $state, $flipped, $next, $held] = [[], 0, null, microtime(true), ''];
$flipAt = microtime(true) + 1;
while (count($delays) < FLIPS) {
    $now = microtime(true);
    if ($now >= $flipAt && $flipped === null) {
        $state ^= 1;
        $flipped = $now;
    }
    if ($now >= $next) {
        fwrite($listener, $frames[$state]);
        $next += PERIOD_S;
    }
    $held .= (string) fread($page, 65536);
    while (($end = strpos($held, "\n")) !== false) {
        $line = json_decode(substr($held, 0, $end), true);
        $held = substr($held, $end + 1);
        $us = $line['channels'][0]['us'] ?? null;
        if ($flipped !== null && $us !== null && ($us > 1500) === ($state === 1)) {
            $delays[] = (microtime(true) - $flipped) * 1000;
            $flipped = null;
            $flipAt = microtime(true) + HOLD_S;
        }
    }
    usleep(200);
}
sort($delays);
printf("| from the wire to the page's line, %d changes | p50 %.0f ms | p95 %.0f ms | slowest %.0f ms |\n", FLIPS, $delays[(int) (FLIPS * 0.5)], $delays[(int) (FLIPS * 0.95)], $delays[FLIPS - 1]);
