"""The commands of Tighten: tighten, groove and match."""

import argparse
import sys
from typing import Any

import numpy as np

from chronotome.cli.common import encoding_of, material_of, write_json
from chronotome.dsp.stretch.engines import MoveBy, StretchMaterial
from chronotome.files.grooves import is_groove, read_groove, write_groove
from chronotome.files.headless import Headless, groove_from, timed
from chronotome.files.writing import refuse_sources
from chronotome.progress import Progress, part_of
from chronotome.session.anchors import anchors_of
from chronotome.session.edits.grooves import add_groove
from chronotome.session.edits.tightening import Scope, set_recipe
from chronotome.session.edits.tracks import set_moving
from chronotome.session.lines import SwingOf
from chronotome.session.model import Session, Track, replace
from chronotome.session.settings import Alone, Match
from chronotome.session.targets import REASON_WORDS, Reason, Targets
from chronotome.session.tighten import pairs_of, targets_of

KEEPS = {each.value.replace(" ", "-"): each for each in StretchMaterial if each is not StretchMaterial.HEARD}
"""What stretching is told to keep clean; the other materials are for the ear that finds hits."""


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
    way = MoveBy.TAPE if arguments.material == "tape" else MoveBy(arguments.by)
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
