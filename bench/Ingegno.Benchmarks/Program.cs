using BenchmarkDotNet.Running;
using Ingegno.Benchmarks;

BenchmarkSwitcher.FromTypes([typeof(LadderBenchmarks), typeof(HomeBenchmarks), typeof(RebuildBenchmarks), typeof(DoseBenchmarks), typeof(WeekBenchmarks)]).Run(args);
