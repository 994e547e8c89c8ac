"""Random performances in many metres with exact truth, for `tools/train_beats.py`.

    python tools/make_grooves.py FOLDER --seed 1 --count 250 [--ruler ../shared/eval]

Patterns of many kinds in 4/4, 3/4, 5/4, 6/8, 12/8 and 7/8, straight and swung, steady and drifting, for
drums alone, bass, chords, and mixes; none is a pattern of the ruler's own. Sounds are the ruler's one-shots
(`make_set.py`), which needs fluidsynth and fluid-soundfont-gm. A 12/8 bar counts as four beats of three.
"""

import argparse
import importlib
import json
import sys
from dataclasses import dataclass
from itertools import pairwise
from pathlib import Path
from typing import Any

import numpy as np

METRES = {"4/4": 0.66, "3/4": 0.12, "5/4": 0.05, "6/8": 0.09, "12/8": 0.04, "7/8": 0.04}
KINDS = {
    "rock": 0.24, "funk": 0.16, "four": 0.14, "half": 0.1, "fast": 0.08, "late": 0.04, "jazz": 0.08,
    "hands": 0.08, "toms": 0.03, "sparse": 0.05,
}  # fmt: skip
TEMPI = {
    "half": (118, 165), "fast": (158, 178), "four": (100, 140), "jazz": (95, 210), "late": (120, 160),
    "3/4": (80, 180), "5/4": (90, 170), "6/8": (46, 84), "12/8": (54, 110), "7/8": (170, 300),
}  # fmt: skip
HATS = ("chh", "chh", "chh", "ride", "ohh", "shk", "tamb")
CHORDS = ((0, 7, 12, 16), (-4, 3, 8, 12), (3, 10, 15, 19), (-2, 5, 10, 14))
Pattern = dict[str, Any]


@dataclass
class Groove:
    """Rows of a bar (a digit is a loudness, a dot a rest), its beats, and its kind."""

    rows: Pattern
    beats: int
    kind: str


def text(row: list[str]) -> str:
    return "".join(row)


class Maker:
    """Draws grooves from a seed and renders them through the ruler's bank."""

    def __init__(self, ruler: Any, seed: int) -> None:
        self.ruler, self.seed = ruler, seed

    def begin(self, number: int) -> None:
        self.random = np.random.default_rng([self.seed, number])

    def chance(self, share: float) -> bool:
        return bool(self.random.random() < share)

    def loud(self, levels: str = "789") -> str:
        return str(self.random.choice(list(levels)))

    def pulse(self, size: int, step: int, beat: int) -> list[str]:
        row = ["."] * size
        for place in range(0, size, step):
            row[place] = "8" if place % beat == 0 else "6" if place % max(1, beat // 2) == 0 else "4"
        return row

    # Kinds of 4/4, sixteen places

    def four_four(self, tempo: float) -> Groove:
        kind = str(self.random.choice(list(KINDS), p=list(KINDS.values())))
        kick, snare = ["."] * 16, ["."] * 16
        rows: Pattern = {}
        steps = [1, 2, 2, 2, 4] if tempo < 118 else [2, 2, 4]
        hat = str(self.random.choice(HATS))
        step = max(2 if hat == "ohh" else 1, int(self.random.choice(steps)))
        pulse = self.pulse(16, step, 4)
        if step == 1 and self.chance(0.3):
            pulse = ["." if at % 4 and self.chance(0.25) else each for at, each in enumerate(pulse)]
        hat, pulse = self._parts(kind, kick, snare, rows, (hat, pulse))
        rows["clap" if kind == "four" else "snare"] = [text(snare)]
        rows["kick"] = [text(kick)]
        if self.chance(0.45):
            rows["kick"].append(self._answer(kick))
        if self.chance(0.93):
            rows[hat] = text(pulse)
        if kind == "jazz":
            rows |= {"ride": "8.858.85", "phh": "..6...6."}
            rows.pop("snare", None)
        return Groove(rows, 4, kind)

    def _answer(self, kick: list[str]) -> str:
        return text(
            [
                ("." if each != "." else "8") if at > 1 and at not in {4, 12} and self.chance(0.15) else each
                for at, each in enumerate(kick)
            ]
        )

    def _parts(
        self, kind: str, kick: list[str], snare: list[str], rows: Pattern, pulse: tuple[str, list[str]]
    ) -> tuple[str, list[str]]:
        if kind in {"rock", "sparse", "funk"}:
            self._back_beat(kind, kick, snare)
        elif kind == "four":
            return self._four(kick, snare, pulse)
        elif kind in {"hands", "toms"}:
            self._by_hand(kind, kick, snare, rows)
        else:
            self._sparse(kind, kick, snare)
        return pulse

    def _four(self, kick: list[str], snare: list[str], pulse: tuple[str, list[str]]) -> tuple[str, list[str]]:
        for at in (0, 4, 8, 12):
            kick[at] = "9"
        for at in (4, 12):
            snare[at] = "8" if self.chance(0.9) else "."
        if self.chance(0.5):
            return pulse[0], ["8" if at % 4 == 2 else "." for at in range(16)]
        return pulse

    def _sparse(self, kind: str, kick: list[str], snare: list[str]) -> None:
        if kind == "half":
            kick[0], snare[8] = "9", "9"
            for at in range(1, 16):
                kick[at] = self.loud() if at != 8 and self.chance(0.15) else kick[at]
        elif kind == "fast":
            kick[0] = kick[10] = snare[4] = snare[12] = "9"
            for at in (7, 9, 15):
                snare[at] = self.loud("234") if self.chance(0.4) else "."
        elif kind == "late":
            kick[8], snare[8] = "9", "8"

    def _row(self, shares: list[float], levels: str = "789") -> str:
        return text([self.loud(levels) if self.chance(share) else "." for share in shares])

    def _by_hand(self, kind: str, kick: list[str], snare: list[str], rows: Pattern) -> None:
        if kind == "toms":
            rows["toml"] = self._row([0.9, *[0.3] * 15])
            snare[4] = snare[12] = "9"
            return
        rows["congah"] = self._row([0.5 if at % 2 == 0 else 0.3 for at in range(16)], "4678")
        rows["congal"] = self._row([0.5 if at in {4, 8, 14} else 0.15 for at in range(16)], "78")
        if self.chance(0.6):
            kick[0], kick[8] = "8", "7"

    def _back_beat(self, kind: str, kick: list[str], snare: list[str]) -> None:
        kick[0] = snare[4] = snare[12] = "9"
        is_busy = kind == "funk"
        for at in range(1, 16) if is_busy else range(2, 16, 2):
            share = (0.4 if is_busy else 0.6) if at == 8 else (0.2 if is_busy else 0.25)
            if at not in {4, 12} and self.chance(share):
                kick[at] = self.loud()
        if kind == "sparse":
            snare[:] = [each if self.chance(0.6) else "." for each in snare]
        if is_busy:
            for at in range(16):
                if snare[at] == kick[at] == "." and self.chance(0.25):
                    snare[at] = self.loud("123")

    # Other metres

    def other(self, metre: str, tempo: float) -> Groove:
        size, beats, backs, beat = {
            "3/4": (12, 3, ((4, 8), (8,), (4,))[int(self.random.integers(3))], 4),
            "5/4": (10, 5, ((4, 8), (2, 8))[int(self.random.integers(2))], 2),
            "6/8": (12, 2, (6,), 6),
            "12/8": (24, 4, (6, 18), 6),
            "7/8": (14, 7, ((4,), (8,), (6,), (10,))[int(self.random.integers(4))], 2),
        }[metre]
        kick, snare = ["."] * size, ["."] * size
        kick[0] = "9"
        for at in range(2, size, 2):
            likely = (metre == "12/8" and at == 12) or (metre == "5/4" and at in {4, 6})
            if at not in backs and self.chance(0.55 if likely else 0.15):
                kick[at] = self.loud("78")
        for at in backs:
            snare[at] = "7" if metre == "3/4" else "9"
        step = int(self.random.choice([1, 2, 2, 4] if tempo < 110 else [2, 4])) if metre == "3/4" else 2
        if metre == "5/4":
            step = 1
        pulse = self.pulse(size, step, beat)
        if metre == "7/8":
            accents = (0, 4, 8) if backs[0] in {4, 8} else (0, 6, 10)
            pulse = ["8" if at in accents else "5" if at % 2 == 0 else "." for at in range(size)]
        hat = str(self.random.choice(["chh", "ride", "ohh"] if metre in {"3/4", "6/8"} else ["chh", "ride"]))
        return Groove({"kick": text(kick), "snare": text(snare), hat: text(pulse)}, beats, metre)

    # Whole performances

    def bass(self, bars: int, beats: int, rows: Pattern) -> list[tuple[float, int, float, float]]:
        kick = rows.get("kick", "9...............")
        kick = kick[0] if isinstance(kick, list) else kick
        size, notes = len(kick), []
        for bar in range(bars):
            on_kick = {at for at, each in enumerate(kick) if each != "." and self.chance(0.8)}
            hits = sorted({0, *on_kick, *(at for at in range(0, size, 2) if self.chance(0.2))})
            for at, end in zip(hits, [*hits[1:], size], strict=True):
                pitch = (
                    33 + CHORDS[bar % 4][0] + (0 if self.chance(0.75) else int(self.random.choice([7, 12])))
                )
                length = (end - at) * beats / size * 0.92
                notes.append((bar * beats + at * beats / size, pitch, length, self.random.uniform(80, 115)))
        return notes

    def harmony(self, bars: int, beats: int, metre: str) -> list[tuple[float, list[int], float, int]]:
        size = (2 if metre == "7/8" else 4) * beats
        shares = [0.55 if at % 4 == 0 else 0.35 if at % 2 == 0 else 0.12 for at in range(size)]
        hits = [0, *(at for at in range(1, size) if self.chance(shares[at])), size]
        return [
            (
                bar * beats + at * beats / size,
                [45 + tone for tone in CHORDS[bar % 4]],
                (end - at) * beats / size * 0.95,
                112 if at == 0 else 84,
            )
            for bar in range(bars)
            for at, end in pairwise(hits)
        ]

    def case(self, number: int) -> Any:
        self.begin(number)
        random, ruler = self.random, self.ruler
        metre = str(random.choice(list(METRES), p=list(METRES.values())))
        tempo = min(178.0, max(62.0, float(np.exp(random.normal(np.log(108), 0.27)))))
        if metre in TEMPI:
            tempo = random.uniform(*TEMPI[metre])
        groove = self.four_four(tempo) if metre == "4/4" else self.other(metre, tempo)
        if groove.kind in TEMPI:
            tempo = random.uniform(*TEMPI[groove.kind])
        tempo, beats = round(float(tempo), 2), groove.beats
        is_loop = self.chance(0.15)
        bars = int(max(2, round(random.uniform(9, 24) * tempo / 60 / beats)))
        if is_loop:
            bars = int(random.choice([1, 2, 4, 8]))
            bars *= 4 if bars * beats * 60 / tempo < 2.0 else 1
        swing, unit = self._swing(metre, groove, tempo)
        parts = self._voices(groove, bars, metre, is_loop=is_loop)
        start = 0.0 if is_loop else float(random.choice([0.0, 0.1, 0.2, 0.35, 0.6, random.uniform(0, 3)]))
        line = ruler.TMap(tempo, start)
        if not is_loop and self.chance(0.2):
            size = bars * beats + 1
            wander = np.cumsum(random.normal(0, 0.006, size))
            wander = np.clip(wander - wander.mean(), -0.05, 0.05)
            wander += np.linspace(0, random.uniform(-0.1, 0.1), size)
            line = ruler.TMap(t0=start, beats=np.arange(size) * 1.0, bpms=tempo * (1 + wander))
        loop = {
            "bars": bars, "beats": bars * beats, "wrap": True, "ring": False, "tail_silence_s": 0.0,
            "name_bpm": None, "name_bpm_correct": False,
        }  # fmt: skip
        return ruler.Case(
            f"gr_{number:04d}", "groove", "dev", parts=parts, tm=line, bars=bars, bpb=beats, sig=metre,
            swing=round(swing, 3), unit=unit, sd=float(random.choice([0, 0, 2, 4, 6, 9])),
            bias={"snare": float(random.choice([0.0, 0.0, 6.0, 12.0]))}, ch=1, loop=loop if is_loop else None,
            tail=float(random.uniform(0.3, 1.5)), noise=-60.0 if self.chance(0.1) else None,
            reverb=(0.6, -11.0) if self.chance(0.1) else None, sat=1.0 if self.chance(0.15) else 0.0,
        )  # fmt: skip

    def _swing(self, metre: str, groove: Groove, tempo: float) -> tuple[float, float]:
        if groove.kind == "jazz":
            return float(self.random.uniform(0.58, 0.667)), 1.0
        if metre in {"4/4", "3/4"} and groove.kind != "fast" and self.chance(0.28):
            return float(self.random.uniform(0.54, 0.667)), 1.0 if self.chance(0.5) or tempo > 115 else 0.5
        return 0.5, 1.0

    def _voices(self, groove: Groove, bars: int, metre: str, *, is_loop: bool) -> list[Any]:
        random, ruler = self.random, self.ruler
        fills: dict[int, Pattern] = {}
        if self.chance(0.5) and not is_loop:
            fills[0] = {"crash": "9" + "." * 15}
        if bars > 4 and self.chance(0.5):
            size = 16 if metre == "4/4" else 12
            roll = text([self.loud(".678") for _ in range(size // 4)])
            fills.setdefault(int(random.choice([3, bars - 1])), {})["snare"] = "." * (size - size // 4) + roll
        voices = str(random.choice(["drums", "mix", "bass", "chords"], p=[0.62, 0.24, 0.06, 0.08]))
        parts = []
        if voices in {"drums", "mix"}:
            kits = [ruler.STD, ruler.ROOM, ruler.POWER, ruler.ELEC, ruler.K25, ruler.JAZZ]
            parts.append(ruler.drum(int(random.choice(kits)), groove.beats, bars, groove.rows, fills, random))
        if voices in {"mix", "bass"}:
            program = int(random.choice([ruler.FBASS, ruler.PBASS, ruler.SLAP]))
            parts.append(ruler.line(program, "bass", self.bass(bars, groove.beats, groove.rows)))
        if voices == "chords" or (voices == "mix" and self.chance(0.7)):
            is_strummed = self.chance(0.5)
            program = int(random.choice([ruler.STEEL, ruler.NYLON, ruler.PIANO, ruler.EP]))
            notes = self.harmony(bars, groove.beats, metre)
            spread = (0, 25) if is_strummed else (0, 6)
            parts.append(ruler.chords(program, "harmony", notes, random, spread, gain=-4))
        return parts


def main() -> None:
    parser = argparse.ArgumentParser(
        description=__doc__, formatter_class=argparse.RawDescriptionHelpFormatter
    )
    parser.add_argument("folder", type=Path)
    parser.add_argument("--seed", type=int, default=1)
    parser.add_argument("--count", type=int, default=250)
    parser.add_argument("--ruler", type=Path, default=Path(__file__).parents[2] / "shared" / "eval")
    arguments = parser.parse_args()
    sys.path.insert(0, str(arguments.ruler))
    ruler = importlib.import_module("make_set")
    arguments.folder.mkdir(parents=True, exist_ok=True)
    maker = Maker(ruler, arguments.seed)
    cases = [maker.case(number) for number in range(arguments.count)]
    needed: dict[int, set[Any]] = {}
    for case in cases:
        for event in ruler.prepare(case, arguments.seed):
            needed.setdefault(case.sr, set()).add(ruler.ekey(event))
    banks = {rate: ruler.Bank(keys, rate) for rate, keys in needed.items()}
    for bank in banks.values():
        bank.finish()
    for case in cases:
        truth = ruler.render(case, banks[case.sr], str(arguments.folder), arguments.seed)
        (arguments.folder / f"{case.name}.json").write_text(json.dumps(truth, default=float))


if __name__ == "__main__":
    main()
