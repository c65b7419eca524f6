"""Reads metrics from standard input with the reference parser of the format and prints every sample as JSON, one a line."""
import json
import sys

from prometheus_client.openmetrics.parser import text_string_to_metric_families

for family in text_string_to_metric_families(sys.stdin.read()):
    for sample in family.samples:
        print(json.dumps({"type": family.type, "name": sample.name, "labels": sample.labels, "value": sample.value}))
