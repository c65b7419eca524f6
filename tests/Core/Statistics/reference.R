# Makes reference.json: reference values from R's own functions on data sets that R ships.
# Run: Rscript tests/Core/Statistics/reference.R > tests/Core/Statistics/reference.json
num <- function(x) paste0("[", paste(format(x, digits = 17, trim = TRUE, scientific = FALSE), collapse = ","), "]")

# isoreg() fits rising curves, so a falling one is its mirror. Equal weights stand for themselves; whole-number weights
# are checked in the test by repeating rows.
values <- as.numeric(airquality$Wind[1:60])
unweighted <- -isoreg(-values)$yf

orings <- data.frame(temperature = c(66, 70, 69, 68, 67, 72, 73, 70, 57, 63, 70, 78, 67, 53, 67, 75, 70, 81, 76, 79, 75, 76, 58),
                     distress = c(0, 1, 0, 0, 0, 0, 0, 0, 1, 1, 1, 0, 0, 1, 0, 0, 0, 0, 0, 0, 1, 0, 1))
oring <- glm(distress ~ temperature, binomial, orings, control = glm.control(epsilon = 1e-14))
cars <- glm(am ~ wt + hp, binomial, mtcars, control = glm.control(epsilon = 1e-14))
line <- lm(dist ~ speed, datasets::cars)

cat(sprintf('{"isotonic":{"source":"isoreg(), airquality$Wind[1:60]","values":%s,"fit":%s},', num(values), num(unweighted)))
cat(sprintf('"quantiles":{"source":"quantile(type = 7), faithful$eruptions","values":%s,"shares":[0.1,0.25,0.5,0.75,0.9],"fit":%s},', num(faithful$eruptions), num(quantile(faithful$eruptions, c(.1, .25, .5, .75, .9), type = 7))))
cat(sprintf('"oring":{"source":"glm(binomial), O-ring data of Dalal, Fowlkes and Hoadley 1989","x":%s,"y":%s,"fit":%s},', num(orings$temperature), num(orings$distress), num(coef(oring))))
cat(sprintf('"mtcars":{"source":"glm(binomial), mtcars am ~ wt + hp","x1":%s,"x2":%s,"y":%s,"fit":%s},', num(mtcars$wt), num(mtcars$hp), num(mtcars$am), num(coef(cars))))
cat(sprintf('"line":{"source":"lm(), cars dist ~ speed","x":%s,"y":%s,"fit":%s}}\n', num(datasets::cars$speed), num(datasets::cars$dist), num(coef(line))))
