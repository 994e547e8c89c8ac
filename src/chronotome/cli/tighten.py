"""The commands of Tighten: tighten, groove and match."""

import argparse
import re
import sys
from pathlib import Path
from typing import Any

import numpy as np

from chronotome.cli.common import between, encoding_of, material_of, write_json
from chronotome.dsp.bands import Instrument
from chronotome.dsp.stretch.engines import MoveBy, StretchMaterial
from chronotome.files.grooves import is_groove, read_groove, write_groove
from chronotome.files.headless import Headless, groove_from, timed
from chronotome.files.writing import refuse_sources
from chronotome.progress import Progress, part_of
from chronotome.session.anchors import anchors_of
from chronotome.session.edits.grooves import add_groove
from chronotome.session.edits.tightening import Scope, set_recipe
from chronotome.session.edits.tracks import set_moving
from chronotome.session.grid import DIVISIONS, FASTEST, SLOWEST, Feel, Grid
from chronotome.session.groove import MOST_BARS
from chronotome.session.lines import SwingOf
from chronotome.session.model import Session, Track, replace
from chronotome.session.onset_filter import USUAL_THRESHOLD
from chronotome.session.settings import Alone, Match
from chronotome.session.targets import REASON_WORDS, Reason, Targets
from chronotome.session.tighten import pairs_of, targets_of

AS_PLAYED = "as-played"
KEEPS = {each.value.replace(" ", "-"): each for each in StretchMaterial if each is not StretchMaterial.HEARD}
"""What stretching is told to keep clean; the other materials are for the ear that finds hits."""
MATERIALS = ["auto", *dict.fromkeys((*map(str, Instrument), *KEEPS, "tape"))]


def grid_of(text: str) -> Grid:
    """1/16, 1/8 triplet, 1/4 dotted."""
    words = text.replace("-", " ").split()
    head, feel = words[0] if words else "", words[1] if len(words) > 1 else "straight"
    try:
        grid = Grid(int(head.removeprefix("1/")), Feel(feel))
    except ValueError:
        raise argparse.ArgumentTypeError(f"“{text}” is no grid: say 1/16, or “1/8 triplet”") from None
    if not head.startswith("1/") or grid.division not in DIVISIONS:
        known = ", ".join(f"1/{division}" for division in DIVISIONS)
        raise argparse.ArgumentTypeError(f"“{text}” is no grid: {known} are")
    return grid


def bars_of(text: str) -> tuple[int, int]:
    """5-8: from the start of bar 5 to the end of bar 8."""
    found = re.fullmatch(r"(\d{1,6})(?:-(\d{1,6}))?", text)
    first, last = (int(found[1]), int(found[2] or found[1])) if found else (0, 0)
    if not 1 <= first <= last:
        raise argparse.ArgumentTypeError(f"“{text}” are no bars: say 5-8")
    return first, last


def add_tighten_commands(commands: Any) -> list[argparse.ArgumentParser]:
    """`tighten`, `groove` and `match`; those that write sound are returned."""
    tighten = commands.add_parser("tighten", help="move hits to the grid, to a groove or to another take")
    tighten.add_argument("audio", type=Path)
    tighten.add_argument("--bpm", type=between(SLOWEST, FASTEST), help="tempo; detected if not given")
    tighten.add_argument("--beat-one", type=between(-1e6, 1e6), metavar="SECONDS")
    tighten.add_argument("--grid", type=grid_of, default=Grid(), metavar="1/16")
    tighten.add_argument("--swing", type=swing_of, default=50.0, metavar="50..75|as-played")
    tighten.add_argument(
        "--groove", type=Path, metavar="FILE|AUDIO", help="groove file, or recording to extract it from"
    )
    tighten.add_argument("--groove-amount", type=between(0, 150), default=100.0, metavar="0..150")
    words = "its offsets stay ms, or the same share of a step at any tempo"
    tighten.add_argument("--groove-as", choices=["ms", "share"], default="ms", help=words)
    tighten.add_argument("--match", type=Path, metavar="AUDIO", help="move hits to those of this take")
    tighten.add_argument(
        "--catch",
        type=between(0, 100),
        default=100.0,
        metavar="0..100",
        help="attraction, in percent of half a step",
    )
    tighten.add_argument("--bars", type=bars_of, metavar="A-B", help="move hits only in these bars")
    match = commands.add_parser("match", help="move the hits of one take to the hits of another")
    match.add_argument("audio", type=Path, metavar="A", help="take that is moved")
    match.add_argument("other", type=Path, metavar="B")
    match.add_argument("--within", type=between(5, 500), default=90.0, metavar="MS")
    for writer in (tighten, match):
        writer.add_argument("-o", "--out", type=Path, required=True, metavar="OUT", help="WAV or FLAC")
        writer.add_argument("--strength", type=between(0, 100), default=100.0, metavar="0..100")
        writer.add_argument("--leave-alone", type=between(0, 100), default=0.0, metavar="MS")
        writer.add_argument("--threshold", type=between(0, 100), default=USUAL_THRESHOLD, metavar="0..100")
        writer.add_argument("--by", type=MoveBy, choices=list(MoveBy), default=MoveBy.STRETCHING)
        words = "what attacks are of, and what stretching keeps clean"
        writer.add_argument("--material", choices=MATERIALS, default="auto", help=words)
        words = "write every onset and where it landed"
        writer.add_argument("--moves", type=Path, metavar="JSON", help=words)

    groove = commands.add_parser("groove", help="extract the groove of a recording")
    groove.add_argument("audio", type=Path)
    groove.add_argument("-o", "--out", type=Path, required=True, metavar="FILE", help="JSON, or MIDI: .mid")
    groove.add_argument("--bars", type=int, choices=range(1, MOST_BARS + 1), default=1)
    groove.add_argument("--grid", type=grid_of, default=Grid(), metavar="1/16")
    groove.add_argument("--bpm", type=between(SLOWEST, FASTEST), help="tempo; detected if not given")
    groove.add_argument("--beat-one", type=between(-1e6, 1e6), metavar="SECONDS")
    groove.add_argument("--threshold", type=between(0, 100), default=USUAL_THRESHOLD, metavar="0..100")
    return [tighten, match]


def groove(arguments: argparse.Namespace, progress: Progress) -> None:
    refuse_sources(arguments.out, [arguments.audio])
    found = groove_from(
        arguments.audio,
        arguments.grid,
        arguments.bars,
        progress,
        tempo=arguments.bpm,
        beat_one=arguments.beat_one,
        threshold=arguments.threshold,
    )
    write_groove(arguments.out, replace(found, name=arguments.audio.stem))


def tighten(arguments: argparse.Namespace, progress: Progress) -> None:
    given = [arguments.audio, *filter(None, (arguments.groove, arguments.match))]
    for out in filter(None, (arguments.out, arguments.moves)):
        refuse_sources(out, given)
    work, encoding = Headless(), encoding_of(arguments.out, arguments.encoding)
    material, threshold = material_of(arguments.material), arguments.threshold
    track = work.bring(arguments.audio, part_of(progress, 0.0, 0.4), material=material, threshold=threshold)
    recipe: dict[str, object] = {
        "grid": arguments.grid,
        **_swing(work.session, arguments),
        "scales": arguments.groove_as == "share",
        "strength": arguments.strength / 100,
        "leave_alone": arguments.leave_alone,
        "catch": arguments.catch / 100,
        "timing": arguments.groove_amount / 100,
    }
    if arguments.match is not None:
        other = work.bring(arguments.match, part_of(progress, 0.4, 0.5), threshold=threshold)
        recipe["match"] = Match(other.id)
    session = _timed(work.session, track, arguments)
    if arguments.groove is not None:
        found = (
            read_groove(arguments.groove)
            if is_groove(arguments.groove)
            else groove_from(arguments.groove, arguments.grid, 1, part_of(progress, 0.5, 0.6))
        )
        session, recipe["groove"] = add_groove(session, found)
    scope = Scope()
    if arguments.bars is not None:
        first, last = arguments.bars
        scope = Scope(span=(session.metre.beat_of(first - 1), session.metre.beat_of(last)))
    session = set_recipe(session, track.id, None, scope, **recipe)
    work.session = _moved_by(session, track, arguments)
    work.write(work.session.track(track.id), arguments.out, encoding, given, part_of(progress, 0.6, 1.0))
    if arguments.moves is not None:
        write_json(arguments.moves, _moves(work.session, work.session.track(track.id)))


def swing_of(text: str) -> float | None:
    """50 to 75; None: as it is played."""
    return None if text == AS_PLAYED else float(between(50, 75)(text))


def _swing(session: Session, arguments: argparse.Namespace) -> dict[str, object]:
    """As said, or as the take swings: 50 where it does not."""
    measured = session.recordings[0].measured
    if arguments.swing is not None:
        return {"swing": arguments.swing}
    heard = None if measured is None else measured.played_swing
    percent, division = heard or (50.0, 8)
    print(f"swing {percent:.0f} % of 1/{division}, as played", file=sys.stderr)
    return {"swing": percent, "swing_of": SwingOf.EIGHTHS if division == 8 else SwingOf.SIXTEENTHS}


def _timed(session: Session, track: Track, arguments: argparse.Namespace) -> Session:
    """At the tempo that was said, or the measured one, which is told."""
    made = timed(session, track, arguments.audio, tempo=arguments.bpm, beat_one=arguments.beat_one)
    if arguments.bpm is None:
        print(f"{made.tempo.at(0.0):.2f} bpm, measured", file=sys.stderr)
    return made


def match(arguments: argparse.Namespace, progress: Progress) -> None:
    given = [arguments.audio, arguments.other]
    for out in filter(None, (arguments.out, arguments.moves)):
        refuse_sources(out, given)
    work, encoding = Headless(), encoding_of(arguments.out, arguments.encoding)
    material, threshold = material_of(arguments.material), arguments.threshold
    track = work.bring(arguments.audio, part_of(progress, 0.0, 0.3), material=material, threshold=threshold)
    other = work.bring(arguments.other, part_of(progress, 0.3, 0.6), material=material, threshold=threshold)
    session = set_recipe(
        work.session,
        track.id,
        None,
        Scope(),
        strength=arguments.strength / 100,
        leave_alone=arguments.leave_alone,
        match=Match(other.id, arguments.within, Alone.ALONG),
    )
    work.session = _moved_by(session, track, arguments)
    work.write(work.session.track(track.id), arguments.out, encoding, given, part_of(progress, 0.6, 1.0))
    if arguments.moves is not None:
        write_json(arguments.moves, _moves(work.session, work.session.track(track.id)))


def _moved_by(session: Session, track: Track, arguments: argparse.Namespace) -> Session:
    """The way and the material that were asked for."""
    way = MoveBy.TAPE if arguments.material == "tape" else arguments.by
    return set_moving(session, track.id, by=way, keeps=KEEPS.get(arguments.material, StretchMaterial.HEARD))


def _moves(session: Session, track: Track) -> dict[str, Any]:
    """Every onset, and where it landed; of a matched take also its partner."""
    (take,) = track.takes
    targets, pairs = targets_of(session, track, take), pairs_of(session, track, take)
    moves = [
        {
            "source_frame": int(played),
            "target_frame": int(target),
            "landed_frame": lands,
            "reason": REASON_WORDS[Reason(int(reason))],
        }
        for played, target, lands, reason in zip(
            targets.played, targets.target, _landed(session, track, targets), targets.reasons, strict=True
        )
    ]
    document: dict[str, Any] = {"version": 1, "rate": session.rate, "moves": moves}
    if pairs is not None:
        for move, partner, is_sure in zip(moves, pairs.partner.tolist(), pairs.is_sure.tolist(), strict=True):
            found = partner >= 0
            move["partner_frame"] = int(pairs.other.frames[partner]) if found else None
            move["sure"] = bool(is_sure) if found else None
        document["alone"] = pairs.other.frames[pairs.others_alone].tolist()
    return document


def _landed(session: Session, track: Track, targets: Targets) -> list[int]:
    """Where the rendered plan really puts each onset, read from its anchors."""
    (take,) = track.takes
    anchors = anchors_of(session, track, take)
    heard = anchors.heard_at((targets.played + anchors.offset).astype(np.float64))
    return [round(float(frame)) for frame in heard]
