"""Performances with exact truth, played by another sound bank: `python tools/make_sets.py OUT --seed 204`.

    python tools/make_sets.py OUT --seed 204 --bank /usr/share/sounds/sf3/MuseScore_General_Lite.sf3
    python tools/make_sets.py OUT --seed 301 --bank ... --only so_,tk_voice,ba_,mx_,gt_strum
    python tools/make_sets.py OUT --seed 402 --bank ... --only so_,tk_voice --varied

Runs the generator of `--eval` (usually ../shared/eval) with its bank replaced. Debian packages:
fluidsynth, fluid-soundfont-gm, musescore-general-soundfont-small, csound-soundfont, opl3-soundfont,
timgm6mb-soundfont.
"""

import argparse
import importlib.util
import sys
from collections.abc import Callable
from pathlib import Path
from types import ModuleType

import numpy as np

SUSTAINED = (*range(16, 24), *range(40, 43), 44, *range(48, 55), *range(56, 80), *range(88, 96), 110, 111)
"""Programs of General MIDI that start slowly, or may: organs, strings, voices, winds, pads.

No double bass (43): some banks have none where a voice sings.
"""
EVAL = Path(__file__).parents[2] / "shared" / "eval"
BANK = Path("/usr/share/sounds/sf2/FluidR3_GM.sf2")


def generator(folder: Path) -> ModuleType:
    spec = importlib.util.spec_from_file_location("make_set", folder / "make_set.py")
    if spec is None or spec.loader is None:
        sys.exit(f"there is no generator in {folder}")
    module = importlib.util.module_from_spec(spec)
    spec.loader.exec_module(module)
    return module


def vary(make: ModuleType, seed: int) -> None:
    """Every part of a slow instrument is played by another one, drawn at random."""
    random = np.random.default_rng(seed)
    slow = {*make.SOFT_PROGS, make.ORGAN, make.STRINGS, make.CHOIR, make.OOH}

    def drawn(write: Callable[..., object]) -> Callable[..., object]:
        return lambda program, *rest, **more: write(
            int(random.choice(SUSTAINED)) if program in slow else program, *rest, **more
        )

    vars(make).update(SOFT_PROGS=slow | set(SUSTAINED), line=drawn(make.line), chords=drawn(make.chords))


def main() -> None:
    parser = argparse.ArgumentParser(
        description=__doc__, formatter_class=argparse.RawDescriptionHelpFormatter
    )
    parser.add_argument("out", type=Path)
    parser.add_argument("--seed", type=int, required=True)
    parser.add_argument("--bank", type=Path, default=BANK)
    parser.add_argument("--only", default="", help="parts of names, with commas between them")
    parser.add_argument("--varied", action="store_true", help="other slow instruments than the usual ones")
    parser.add_argument("--eval", type=Path, default=EVAL)
    given = parser.parse_args()
    make = generator(given.eval)
    vars(make)["SF2"] = str(given.bank)
    if given.varied:
        vary(make, given.seed)
    every = make.build_cases
    wanted = given.only.split(",")
    make.build_cases = lambda seed: [  # type: ignore[attr-defined]  # the generator's own function
        case for case in every(seed) if any(part in case.name for part in wanted)
    ]
    sys.argv = ["make_set.py", str(given.out), "--seed", str(given.seed)]
    make.main()


if __name__ == "__main__":
    main()
