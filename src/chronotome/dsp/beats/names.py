"""What a file's name says about its tempo."""

import re

SLOWEST, FASTEST = 50, 220


def tempo_in_name(name: str) -> float | None:
    """A number of beats per minute in a file's name, if one is there."""
    named = re.search(r"(?<![\d.])(\d{2,3}(?:[._]\d{1,2})?)\s*bpm", name, re.IGNORECASE)
    if named:
        return float(named.group(1).replace("_", "."))
    bare = [
        float(text) for text in re.findall(r"(?<![\d.a-zA-Z])(\d{2,3}(?:\.\d{1,2})?)(?![\d.a-zA-Z])", name)
    ]
    likely = [value for value in bare if SLOWEST <= value <= FASTEST]
    return likely[-1] if likely else None
