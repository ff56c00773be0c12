<?php

// How many tests a JUnit report tells of, and how many of them failed: "12 0".
declare(strict_types=1);

$report = is_file($argv[1] ?? '') ? simplexml_load_file($argv[1]) : false;
if ($report === false) {
    exit("0 0\n");
}
$bad = count($report->xpath('//testcase[failure or error]') ?: []);
$skipped = count($report->xpath('//testcase[skipped]') ?: []);
echo count($report->xpath('//testcase') ?: []) - $skipped, ' ', $bad, "\n";
